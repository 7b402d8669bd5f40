import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { refuseOtherName } from '$lib/server/access/gate';
import { withDatabase } from '$lib/server/with-database';
import { checkedBody } from '$lib/server/http/body';
import { findPerson } from '$lib/server/people';
import { publishKeys } from '$lib/server/signing/shop-key';
import { signJob } from '$lib/server/signing/signed';
import { message, SCOPES } from '@zinc-ledger/core';
import { refuse } from '$lib/server/http/refuse';

const Signing = z.strictObject({
	person: z.uuid(),
	units: z.strictObject({ length: z.enum(['in', 'mm']), load: z.enum(['lbf', 'N', 'kgf']) }),
	scope: z.strictObject({
		name: z.enum(SCOPES),
		stations: z.array(z.string().max(6)).min(1).max(80)
	})
});

/** Signs the job as it stands, in the scope named; what blocks is said and nothing is kept. */
export async function POST({ request, params, locals }) {
	const { person: id, units, scope } = await checkedBody(request, Signing);
	refuseOtherName(locals, [id]);
	return withDatabase(async (db) => {
		const known = await findPerson(db, id);
		if (!known) refuse(400, message('server.operator-required'));
		const signed = await signJob(db, params.id, known.person, units, scope);
		await publishKeys(db).catch(() => undefined);
		return json(signed);
	});
}
