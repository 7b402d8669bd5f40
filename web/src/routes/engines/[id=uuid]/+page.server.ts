import { error } from '@sveltejs/kit';
import { jobLine } from '$lib/job/line';
import { ask } from '$lib/server/ask';
import { findEngineById, jobsOfEngine } from '$lib/server/customers';
import { loadJobs } from '$lib/server/jobs/load';
import { newestSigned } from '$lib/server/signed';

export const load = async ({ params }) => {
	const engine = await ask((db) => findEngineById(db, params.id));
	if (!engine) error(404, 'There is no such engine.');
	const { loaded, signed } = await ask(async (db) => {
		const ids = await jobsOfEngine(db, params.id);
		return { loaded: await loadJobs(db, ids), signed: await newestSigned(db, ids) };
	});
	return { engine, jobs: loaded.map(({ job }) => jobLine(job, signed.get(job.id))) };
};
