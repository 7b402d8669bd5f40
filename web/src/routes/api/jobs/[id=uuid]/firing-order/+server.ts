import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { withDatabase } from '$lib/server/with-database';
import { checkedBody } from '$lib/server/http/body';
import { saveFiringOrder } from '$lib/server/jobs/change';
import { message } from '@zinc-ledger/core';
import { refuse } from '$lib/server/http/refuse';

const Body = z.strictObject({
	firingOrder: z.array(z.int()).min(1).max(16),
	firingAngles: z.array(z.number().min(0).max(719)).min(1).max(16).optional()
});

/** Writes down in which order the cylinders of the job's engine fire. */
export async function PUT({ request, params, locals }) {
	const { firingOrder, firingAngles } = await checkedBody(request, Body);
	const { person } = locals;
	if (!person) refuse(401, message('server.operator-required'));
	await withDatabase((db) => saveFiringOrder(db, params.id, firingOrder, person, firingAngles));
	return json({ kept: true });
}
