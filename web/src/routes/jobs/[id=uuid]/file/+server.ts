import { error } from '@sveltejs/kit';
import { writeJob } from '@zinc-ledger/core/file';
import { ask } from '$lib/server/ask';
import { loadJob } from '$lib/server/jobs/load';

/** The job as its open file. */
export async function GET({ params }) {
	const loaded = await ask((db) => loadJob(db, params.id));
	if (!loaded) error(404, 'There is no such job.');
	const name = `job-${loaded.job.number.replace(/[^\w-]+/g, '_')}.json`;
	return new Response(writeJob(loaded.job), {
		headers: {
			'content-type': 'application/json; charset=utf-8',
			'content-disposition': `attachment; filename="${name}"`
		}
	});
}
