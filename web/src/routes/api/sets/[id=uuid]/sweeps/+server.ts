import { json } from '@sveltejs/kit';
import { Sweep } from '@zinc-ledger/core/sweep-schema';
import { ask } from '$lib/server/ask';
import { checkedBody } from '$lib/server/body';
import { keepSweep } from '$lib/server/springs';
import { message } from '@zinc-ledger/core';
import { refuse } from '$lib/server/refuse';

/** Keeps a sweep with its tagged spring; the same one twice is harmless. */
export async function POST({ request, params, locals }) {
	const sweep = await checkedBody(request, Sweep);
	const { person } = locals;
	if (!person) refuse(401, message('server.operator-required'));
	const kept = await ask((db) => keepSweep(db, params.id, sweep, person));
	if (!kept) refuse(404, message('server.no-spring', { tag: sweep.tag }));
	return json({ kept: true });
}
