import { unitsFor } from '$lib/server/units-for';
import { ask } from '$lib/server/with-database';
import { findEngineById, jobsOfEngine, lastSigned } from '$lib/server/customers';
import { headsOfEngine } from '$lib/server/heads';
import { jobLines } from '$lib/server/jobs/lines';
import { loadJob } from '$lib/server/jobs/load';
import { message } from '@zinc-ledger/core';
import { refuse } from '$lib/server/refuse';

export const load = async ({ params, locals }) => {
	const engine = await ask((db) => findEngineById(db, params.id));
	if (!engine) refuse(404, message('server.unknown', { what: 'engine' }));
	const jobs = await ask(async (db) => jobLines(db, await jobsOfEngine(db, params.id)));
	const signed = await ask((db) => lastSigned(db, params.id));
	// As its last visit was read, where nobody chose other units.
	const last = jobs[0] && (await ask((db) => loadJob(db, jobs[0]!.id)));
	const units = last ? unitsFor(locals, last.job) : locals.units;
	const heads = await ask((db) => headsOfEngine(db, params.id));
	return { engine, heads, jobs, signed, units };
};
