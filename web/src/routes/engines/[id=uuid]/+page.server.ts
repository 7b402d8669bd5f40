import { error } from '@sveltejs/kit';
import { jobLine } from '$lib/job/line';
import { ask } from '$lib/server/ask';
import { findEngineById, jobsOfEngine } from '$lib/server/customers';
import { loadJobs } from '$lib/server/jobs';

export const load = async ({ params }) => {
	const engine = await ask((db) => findEngineById(db, params.id));
	if (!engine) error(404, 'There is no such engine.');
	const loaded = await ask(async (db) => loadJobs(db, await jobsOfEngine(db, params.id)));
	return { engine, jobs: loaded.map(({ job }) => jobLine(job)) };
};
