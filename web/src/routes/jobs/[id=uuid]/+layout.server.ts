import { unitsFor } from '$lib/server/http/units-for';
import { withDatabase } from '$lib/server/with-database';
import { loadJob } from '$lib/server/jobs/load';
import { importedBy } from '$lib/server/jobs/store';
import { countedShims } from '$lib/server/parts/parts';
import { listSigned } from '$lib/server/signing/signed';
import { message } from '@zinc-ledger/core';
import { refuse } from '$lib/server/http/refuse';

export const load = async ({ params, depends, locals }) => {
	depends(`job:${params.id}`);
	const { loaded, signed, shims, by } = await withDatabase(async (db) => ({
		loaded: await loadJob(db, params.id),
		signed: await listSigned(db, params.id),
		shims: await countedShims(db),
		by: await importedBy(db, params.id)
	}));
	if (!loaded) refuse(404, message('server.unknown', { what: 'job' }));
	const { job, revision } = loaded;
	return {
		job,
		revision,
		signed,
		shims,
		units: unitsFor(locals, job),
		title: {
			number: job.number,
			name: job.engine.name,
			detail: by === null ? job.customer.name : `${job.customer.name}, imported by ${by}`
		}
	};
};
