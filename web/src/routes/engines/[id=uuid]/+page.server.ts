import { error } from '@sveltejs/kit';
import { ask } from '$lib/server/ask';
import { findEngineById, jobsOfEngine } from '$lib/server/customers';
import { jobLines } from '$lib/server/jobs/lines';

export const load = async ({ params }) => {
	const engine = await ask((db) => findEngineById(db, params.id));
	if (!engine) error(404, 'There is no such engine.');
	const jobs = await ask(async (db) => jobLines(db, await jobsOfEngine(db, params.id)));
	return { engine, jobs };
};
