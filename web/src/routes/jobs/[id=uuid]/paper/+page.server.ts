import { unitsFor } from '$lib/server/http/units-for';
import { withDatabase } from '$lib/server/with-database';
import { loadJob } from '$lib/server/jobs/load';
import { message } from '@zinc-ledger/core';
import { refuse } from '$lib/server/http/refuse';

export const load = async ({ params, url, locals }) => {
	const loaded = await withDatabase((db) => loadJob(db, params.id));
	if (!loaded) refuse(404, message('server.unknown', { what: 'job' }));
	const { job } = loaded;
	return {
		job,
		units: unitsFor(locals, job),
		size: url.searchParams.get('size') === 'Letter' ? ('Letter' as const) : ('A4' as const),
		title: { number: job.number, name: job.engine.name, detail: job.customer.name }
	};
};
