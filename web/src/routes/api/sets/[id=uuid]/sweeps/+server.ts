import { error, json } from '@sveltejs/kit';
import { Sweep } from '@zinc-ledger/core/sweep-schema';
import { ask } from '$lib/server/ask';
import { checkedBody } from '$lib/server/body';
import { keepSweep } from '$lib/server/springs';

/** Keeps a sweep with its tagged spring; the same one twice is harmless. */
export async function POST({ request, params, locals }) {
	const sweep = await checkedBody(request, Sweep);
	const { person } = locals;
	if (!person) error(401, 'Pick who works at this bench first.');
	const kept = await ask((db) => keepSweep(db, params.id, sweep, person));
	if (!kept) error(404, `There is no spring ${sweep.tag} in this set.`);
	return json({ kept: true });
}
