import { unitsFor } from '$lib/server/http/units-for';
import { withDatabase } from '$lib/server/with-database';
import { findEngineById, jobsOfEngine, lastSigned } from '$lib/server/jobs/customers';
import { headsOfEngine } from '$lib/server/visits/heads';
import { jobLines } from '$lib/server/jobs/lines';
import { loadJob } from '$lib/server/jobs/load';
import { message } from '@zinc-ledger/core';
import { refuse } from '$lib/server/http/refuse';

export const load = async ({ params, locals }) => {
	const engine = await withDatabase((db) => findEngineById(db, params.id));
	if (!engine) refuse(404, message('server.unknown', { what: 'engine' }));
	const jobs = await withDatabase(async (db) => jobLines(db, await jobsOfEngine(db, params.id)));
	const signed = await withDatabase((db) => lastSigned(db, params.id));
	// As its last visit was read, where nobody chose other units.
	const last = jobs[0] && (await withDatabase((db) => loadJob(db, jobs[0]!.id)));
	const units = last ? unitsFor(locals, last.job) : locals.units;
	const heads = await withDatabase((db) => headsOfEngine(db, params.id));
	return { engine, heads, jobs, signed, units };
};
