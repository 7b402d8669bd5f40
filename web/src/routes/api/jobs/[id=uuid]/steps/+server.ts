import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { message } from '@zinc-ledger/core';
import { AssemblyStep } from '@zinc-ledger/core/schema';
import { refuseOtherName } from '$lib/server/access/gate';
import { withDatabase } from '$lib/server/with-database';
import { checkedBody } from '$lib/server/http/body';
import { loadJob } from '$lib/server/jobs/load';
import { refuseSkipped } from '$lib/server/jobs/steps';
import { insertEntries } from '$lib/server/jobs/store';
import { findPerson } from '$lib/server/people';
import { refuse } from '$lib/server/http/refuse';

const Steps = z.strictObject({ steps: z.array(AssemblyStep).min(1).max(96) });

/** Marks steps at several stations at once, each as an entry of its own; all of them or none. */
export async function POST({ request, params, locals }) {
	const { steps } = await checkedBody(request, Steps);
	refuseOtherName(
		locals,
		steps.map(({ person }) => person)
	);
	const at = new Date().toISOString();
	const entries = steps.map((step) => ({ ...step, at }));
	return withDatabase(async (db) => {
		const loaded = await loadJob(db, params.id);
		if (!loaded) refuse(404, message('server.unknown', { what: 'job' }));
		for (const entry of entries) {
			refuseSkipped(loaded.job, entry);
			if (!(await findPerson(db, entry.person))) refuse(400, message('server.operator-required'));
		}
		await insertEntries(db, params.id, 'assembly', entries);
		return json({ kept: true, at });
	});
}
