import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { withDatabase } from '$lib/server/with-database';
import { checkedBody } from '$lib/server/http/body';
import { setUnits } from '$lib/server/people';
import { message } from '@zinc-ledger/core';
import { refuse } from '$lib/server/http/refuse';

const Choice = z.strictObject({
	units: z
		.strictObject({ length: z.enum(['in', 'mm']), load: z.enum(['lbf', 'N', 'kgf']) })
		// Each job as it was measured.
		.nullable()
		.optional(),
	scheme: z.enum(['light', 'dark']).optional()
});
const YEAR = 365 * 24 * 3600;

/** Keeps how the person at this bench reads: with the person if one is picked, else in the browser. */
export async function PUT({ request, locals, cookies }) {
	const { units, scheme } = await checkedBody(request, Choice);
	const cookie = { path: '/', maxAge: YEAR, secure: false } as const;
	if (scheme) cookies.set('zinc-scheme', scheme, cookie);
	if (units !== undefined) {
		if (units) cookies.set('zinc-units', `${units.length},${units.load}`, cookie);
		else cookies.delete('zinc-units', { path: '/' });
		const { person } = locals;
		if (person) await withDatabase((db) => setUnits(db, person.id, units));
	}
	if (units === undefined && !scheme) refuse(400, message('server.nothing-to-do'));
	return json({ kept: true });
}
