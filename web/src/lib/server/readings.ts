/** Readings as they come from the benches. */
import { error } from '@sveltejs/kit';
import type { Reading } from '@zinc-ledger/core';
import type { Database } from './database/connection';
import { readingOf } from './jobs/load';
import { insertReading } from './jobs/store';

/** As many of the newest readings of a station as a bench is told of. */
const NEWEST = 20;

/**
 * Stores readings, each once however often it comes, or none where one names a
 * station or a person that is not there. Nothing else of the job is looked at:
 * a job may have thousands of them.
 *
 * @returns the newest readings of their stations
 */
export async function storeReadings(
	db: Database,
	jobId: string,
	readings: readonly Reading[]
): Promise<Reading[]> {
	return db.transaction().execute(async (trx) => {
		const job = await trx
			.selectFrom('job')
			.select('number')
			.where('id', '=', jobId)
			.executeTakeFirst();
		if (!job) error(404, 'There is no such job.');
		const labels = [...new Set(readings.map(({ station }) => station))];
		const people = [...new Set(readings.map(({ person }) => person))];
		const stations = await trx
			.selectFrom('station')
			.select('label')
			.where('job_id', '=', jobId)
			.where('label', 'in', labels)
			.execute();
		const unknown = labels.find((label) => !stations.some((station) => station.label === label));
		if (unknown) error(404, `There is no station ${unknown} on job ${job.number}.`);
		const known = await trx.selectFrom('person').select('id').where('id', 'in', people).execute();
		if (known.length < people.length)
			error(400, 'Nobody here has this name any more: pick who works at this bench.');
		for (const reading of readings) await insertReading(trx, jobId, reading);
		const newest: Reading[] = [];
		for (const label of labels) {
			const rows = await trx
				.selectFrom('reading')
				.selectAll()
				.where('job_id', '=', jobId)
				.where('station', '=', label)
				.orderBy('position', 'desc')
				.limit(NEWEST)
				.execute();
			newest.push(...rows.reverse().map(readingOf));
		}
		return newest;
	});
}
