import { error, json } from '@sveltejs/kit';
import { VoidEntry } from '@zinc-ledger/core/schema';
import { ask } from '$lib/server/ask';
import { checkedBody } from '$lib/server/body';
import { loadJob } from '$lib/server/jobs/load';
import { insertVoids } from '$lib/server/jobs/store';
import { findPerson } from '$lib/server/people';

/** Strikes a reading through, with its reason. */
export async function POST({ request, params }) {
	const entry = await checkedBody(request, VoidEntry);
	return ask(async (db) => {
		const loaded = await loadJob(db, params.id);
		if (!loaded) error(404, 'There is no such job.');
		if (!loaded.job.readings.some((reading) => reading.id === entry.reading)) {
			error(404, 'This reading is not on this job.');
		}
		if (!(await findPerson(db, entry.person))) error(400, 'Pick who works at this bench.');
		await insertVoids(db, params.id, [entry]);
		return json({ struck: true });
	});
}
