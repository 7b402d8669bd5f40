import { writeJob } from '@zinc-ledger/core/file';
import { withDatabase } from '$lib/server/with-database';
import { loadJob } from '$lib/server/jobs/load';
import { message } from '@zinc-ledger/core';
import { refuse } from '$lib/server/http/refuse';

/** The job as its open file. */
export async function GET({ params }) {
	const loaded = await withDatabase((db) => loadJob(db, params.id));
	if (!loaded) refuse(404, message('server.unknown', { what: 'job' }));
	const name = `job-${loaded.job.number.replace(/[^\w-]+/g, '_')}.json`;
	return new Response(writeJob(loaded.job), {
		headers: {
			'content-type': 'application/json; charset=utf-8',
			'content-disposition': `attachment; filename="${name}"`
		}
	});
}
