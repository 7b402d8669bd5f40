import { error, json } from '@sveltejs/kit';
import { Acceptance, HeadWork, Inspection } from '@zinc-ledger/core/schema';
import { ask } from '$lib/server/ask';
import { checkedBody } from '$lib/server/body';
import { insertEntry, loadJob } from '$lib/server/jobs';
import { findPerson } from '$lib/server/people';

const SCHEMAS = { inspections: Inspection, headWork: HeadWork, acceptances: Acceptance };

/** Adds to one of the job's lists that only ever grow. */
export async function POST({ request, params }) {
	if (!Object.hasOwn(SCHEMAS, params.list)) error(404, `There is no list ${params.list}.`);
	const list = params.list as keyof typeof SCHEMAS;
	const entry = await checkedBody(request, SCHEMAS[list]);
	return ask(async (db) => {
		const loaded = await loadJob(db, params.id);
		if (!loaded) error(404, 'There is no such job.');
		const { stations, heads, number } = loaded.job;
		if ('station' in entry && !stations.some(({ label }) => label === entry.station)) {
			error(404, `There is no station ${entry.station} on job ${number}.`);
		}
		if ('work' in entry && entry.head && !heads.some(({ id }) => id === entry.head)) {
			error(404, `There is no head ${entry.head} on job ${number}.`);
		}
		if (!(await findPerson(db, entry.person))) error(400, 'Pick who works at this bench.');
		await insertEntry(db, params.id, list, entry);
		return json({ kept: true });
	});
}
