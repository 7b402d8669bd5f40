import { error, json } from '@sveltejs/kit';
import { z } from 'zod';
import { ask } from '$lib/server/ask';
import { checkedBody } from '$lib/server/body';
import { saveFiringOrder } from '$lib/server/jobs/change';

const Body = z.strictObject({
	firingOrder: z.array(z.int()).min(1).max(16),
	firingAngles: z.array(z.number().min(0).max(719)).min(1).max(16).optional()
});

/** Writes down in which order the cylinders of the job's engine fire. */
export async function PUT({ request, params, locals }) {
	const { firingOrder, firingAngles } = await checkedBody(request, Body);
	const { person } = locals;
	if (!person) error(401, 'Pick who works at this bench first.');
	await ask((db) => saveFiringOrder(db, params.id, firingOrder, person, firingAngles));
	return json({ kept: true });
}
