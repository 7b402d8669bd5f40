import { ask } from '$lib/server/ask';
import { findEngineById, jobsOfEngine } from '$lib/server/customers';
import { jobLines } from '$lib/server/jobs/lines';
import { message } from '@zinc-ledger/core';
import { refuse } from '$lib/server/refuse';

export const load = async ({ params }) => {
	const engine = await ask((db) => findEngineById(db, params.id));
	if (!engine) refuse(404, message('server.unknown', { what: 'engine' }));
	const jobs = await ask(async (db) => jobLines(db, await jobsOfEngine(db, params.id)));
	return { engine, jobs };
};
