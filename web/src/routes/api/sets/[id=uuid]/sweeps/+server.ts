import { json } from '@sveltejs/kit';
import { Sweep } from '@zinc-ledger/core/sweep-schema';
import { refuseOtherName } from '$lib/server/access/gate';
import { withDatabase } from '$lib/server/with-database';
import { checkedBody, isId } from '$lib/server/http/body';
import { findPerson } from '$lib/server/people';
import { keepSweep } from '$lib/server/springs/springs';
import { isOfferedAgain, keepStrays } from '$lib/server/jobs/strays';
import { message } from '@zinc-ledger/core';
import { refuse } from '$lib/server/http/refuse';

/**
 * Keeps a sweep with its tagged spring; the same one twice is harmless. It names who took it,
 * `?by=ID`: it may have waited in the browser since somebody else stood there.
 */
export async function POST({ request, params, locals, url }) {
	const sweep = await checkedBody(request, Sweep);
	const by = url.searchParams.get('by') ?? locals.person?.id;
	if (!isId(by)) refuse(401, message('server.operator-required'));
	refuseOtherName(locals, [by]);
	const person = (await withDatabase((db) => findPerson(db, by)))?.person;
	const stray = { of: 'sweep', owner: params.id, entry: sweep, person: by } as const;
	const again = isOfferedAgain(request);
	if (!person && again) {
		await withDatabase((db) => keepStrays(db, [stray]));
		return json({ kept: true });
	}
	if (!person) refuse(401, message('server.operator-required'));
	// What is printed as who tested it is who sent it.
	const own = { ...sweep, person: person.name };
	const kept = await withDatabase((db) => keepSweep(db, params.id, own, person));
	if (!kept && again) await withDatabase((db) => keepStrays(db, [stray]));
	else if (!kept) refuse(404, message('server.no-spring', { tag: sweep.tag }));
	return json({ kept: true });
}
