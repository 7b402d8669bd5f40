import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { Id } from '@zinc-ledger/core/units-schema';
import { withDatabase } from '$lib/server/with-database';
import { checkedBody } from '$lib/server/http/body';
import { takeForJob } from '$lib/server/jobs/shelf';
import { issue, message } from '@zinc-ledger/core';
import { refuse } from '$lib/server/http/refuse';

const Body = z.strictObject({
	part: Id,
	/** More than 0 taken for the job, less than 0 given back. */
	take: z
		.int(issue('field.whole-number'))
		.min(-1000, issue('field.max', { max: 1000 }))
		.max(1000, issue('field.max', { max: 1000 }))
		.refine((take) => take !== 0, issue('field.min', { min: 1 }))
});

/** Takes parts off the shelf for a job, or gives them back. */
export async function POST({ request, params, locals }) {
	const { part, take } = await checkedBody(request, Body);
	const { person } = locals;
	if (!person) refuse(401, message('server.operator-required'));
	return json(await withDatabase((db) => takeForJob(db, params.id, part, take, person)));
}
