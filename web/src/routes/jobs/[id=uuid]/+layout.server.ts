import { error } from '@sveltejs/kit';
import { ask } from '$lib/server/ask';
import { loadJob } from '$lib/server/jobs';

export const load = async ({ params, depends }) => {
	depends(`job:${params.id}`);
	const loaded = await ask((db) => loadJob(db, params.id));
	if (!loaded) error(404, 'There is no such job.');
	const { job, revision } = loaded;
	return {
		job,
		revision,
		title: { number: job.number, name: job.engine.name, detail: job.customer.name }
	};
};
