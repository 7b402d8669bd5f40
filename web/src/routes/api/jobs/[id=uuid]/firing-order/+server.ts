import { error, json } from '@sveltejs/kit';
import { z } from 'zod';
import { ask } from '$lib/server/ask';
import { checkedBody } from '$lib/server/body';
import { saveFiringOrder } from '$lib/server/jobs/change';

const Body = z.strictObject({ firingOrder: z.array(z.int()).min(1).max(16) });

/** Writes down in which order the cylinders of the job's engine fire. */
export async function PUT({ request, params, locals }) {
	const { firingOrder } = await checkedBody(request, Body);
	const { person } = locals;
	if (!person) error(401, 'Pick who works at this bench first.');
	await ask((db) => saveFiringOrder(db, params.id, firingOrder, person));
	return json({ kept: true });
}
