import { error } from '@sveltejs/kit';
import { ask } from '$lib/server/ask';
import { loadJob } from '$lib/server/jobs/load';

export const load = async ({ params, url }) => {
	const loaded = await ask((db) => loadJob(db, params.id));
	if (!loaded) error(404, 'There is no such job.');
	const { job } = loaded;
	return {
		job,
		size: url.searchParams.get('size') === 'Letter' ? ('Letter' as const) : ('A4' as const),
		title: { number: job.number, name: job.engine.name, detail: job.customer.name }
	};
};
