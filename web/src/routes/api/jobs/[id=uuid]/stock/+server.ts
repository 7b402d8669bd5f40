import { error, json } from '@sveltejs/kit';
import { z } from 'zod';
import { Id } from '@zinc-ledger/core/units-schema';
import { ask } from '$lib/server/ask';
import { checkedBody } from '$lib/server/body';
import { takeForJob } from '$lib/server/jobs/shelf';

const Body = z.strictObject({
	part: Id,
	/** More than 0 taken for the job, less than 0 given back. */
	take: z
		.int('a whole number')
		.min(-1000, 'at most 1,000')
		.max(1000, 'at most 1,000')
		.refine((take) => take !== 0, 'at least one')
});

/** Takes parts off the shelf for a job, or gives them back. */
export async function POST({ request, params, locals }) {
	const { part, take } = await checkedBody(request, Body);
	const { person } = locals;
	if (!person) error(401, 'Pick who works at this bench first.');
	return json(await ask((db) => takeForJob(db, params.id, part, take, person)));
}
