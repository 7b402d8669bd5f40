import { error } from '@sveltejs/kit';
import { ask } from '$lib/server/ask';
import { loadJob } from '$lib/server/jobs/load';
import { listSigned } from '$lib/server/signed';

export const load = async ({ params, depends }) => {
	depends(`job:${params.id}`);
	const { loaded, signed } = await ask(async (db) => ({
		loaded: await loadJob(db, params.id),
		signed: await listSigned(db, params.id)
	}));
	if (!loaded) error(404, 'There is no such job.');
	const { job, revision } = loaded;
	return {
		job,
		revision,
		signed,
		title: { number: job.number, name: job.engine.name, detail: job.customer.name }
	};
};
