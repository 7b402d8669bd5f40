import { error, json } from '@sveltejs/kit';
import { z } from 'zod';
import { ask } from '$lib/server/ask';
import { checkedBody } from '$lib/server/body';
import { setLimits } from '$lib/server/springs';

const part = z.number('a part such as 0.05').min(0, 'at least 0').max(1, 'at most 1');
const Limits = z
	.strictObject({ oddWatch: part, oddStop: part, sagWatch: part, sagStop: part })
	.refine(({ oddWatch, oddStop }) => oddStop >= oddWatch, 'the stop cannot be below the watch')
	.refine(({ sagWatch, sagStop }) => sagStop >= sagWatch, 'the stop cannot be below the watch');

/** Keeps from which parts the springs of a set are watched and stopped at. */
export async function PUT({ request, params, locals }) {
	const limits = await checkedBody(request, Limits);
	if (!locals.person) error(401, 'Pick who works at this bench first.');
	const kept = await ask((db) => setLimits(db, params.id, limits));
	if (!kept) error(404, 'There is no such set.');
	return json({ kept: true });
}
