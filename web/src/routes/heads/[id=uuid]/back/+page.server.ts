import { fail, isHttpError, redirect } from '@sveltejs/kit';
import { message } from '@zinc-ledger/core';
import { tell } from '@zinc-ledger/words';
import { withDatabase } from '$lib/server/with-database';
import { formTexts } from '$lib/server/http/body';
import { findHead } from '$lib/server/visits/heads';

import { nextJobNumber } from '$lib/server/jobs/find';
import { refuse } from '$lib/server/http/refuse';
import { beginVisit, otherHeads, lastSignedOfHead } from '$lib/server/visits/visits';
import { readSince } from '$lib/visits/comparison/since';

export const load = async ({ params }) =>
	withDatabase(async (db) => {
		const head = await findHead(db, params.id);
		if (!head) refuse(404, message('server.unknown', { what: 'head' }));
		const last = await lastSignedOfHead(db, head.id);
		return {
			head,
			number: await nextJobNumber(db),
			last: last && {
				job: last.jobId,
				number: last.number,
				revision: last.revision,
				at: last.at.toISOString()
			},
			beside: last ? await otherHeads(db, last.jobId, head.id) : []
		};
	});

export const actions = {
	default: async ({ request, params, locals }) => {
		const { number = '', ...typed } = await formTexts(request);
		const refused = (status: number, problems: Record<string, string>) =>
			fail(status, { problems, values: { number, ...typed } });
		const { person } = locals;
		if (!person) return refused(401, { number: tell(message('server.operator-required')) });
		const read = readSince(typed);
		if (number.trim() === '') return refused(400, { number: tell(message('job.number-missing')) });
		if (!read.ok) return refused(400, read.problems);
		const also = Object.keys(typed).flatMap((name) =>
			name.startsWith('also.') ? [name.slice('also.'.length)] : []
		);
		const taken = { head: params.id, also, number: number.trim() };
		try {
			const job = await withDatabase((db) => beginVisit(db, taken, read.since, person));
			redirect(303, `/jobs/${job}/then`);
		} catch (failure) {
			if (isHttpError(failure) && failure.status === 409)
				return refused(409, { number: failure.body.message });
			throw failure;
		}
	}
};
