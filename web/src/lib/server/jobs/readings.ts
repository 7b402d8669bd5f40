/** Readings as they come from the benches. */
import type { Reading } from '@zinc-ledger/core';
import type { Database } from '../database/connection';
import { readingOf } from './load';
import { inTransaction } from '../database/transaction';
import { insertReadings } from './store';
import { message } from '@zinc-ledger/core';
import { refuse } from '$lib/server/http/refuse';
import { keepStrays, withPlace } from './strays';

/** As many of the newest readings of a station as a bench is told of. */
const NEWEST = 20;

/** When readings came in, and what their browser's clock showed as it sent them. */
export interface Clock {
	readonly arrived: Date;
	readonly sent: Date | null;
}

/** The clock of a request: browsers name their own as they send. */
export function clockOf(request: Request): Clock {
	const sent = new Date(request.headers.get('x-sent-at') ?? '');
	return { arrived: new Date(), sent: Number.isNaN(sent.getTime()) ? null : sent };
}

/** What a reading keeps of its clock; it is never refused for it (docs/trade/job.md#head-work). */
const arrival = ({ arrived, sent }: Clock): NonNullable<Reading['clock']> => ({
	arrived: arrived.toISOString(),
	...(sent && { ahead: Math.round((sent.getTime() - arrived.getTime()) / 100) / 10 })
});

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
	sent: readonly Reading[],
	clock: Clock = { arrived: new Date(), sent: null }
): Promise<Reading[]> {
	const readings = sent.map((reading) => ({ ...reading, clock: arrival(clock) }));
	return inTransaction(db, async (trx) => {
		const job = await trx
			.selectFrom('job')
			.select('number')
			.where('id', '=', jobId)
			.executeTakeFirst();
		if (!job) refuse(404, message('server.unknown', { what: 'job' }));
		const labels = [...new Set(readings.map(({ station }) => station))];
		const people = [...new Set(readings.map(({ person }) => person))];
		const stations = await trx
			.selectFrom('station')
			.select('label')
			.where('job_id', '=', jobId)
			.where('label', 'in', labels)
			.execute();
		const unknown = labels.find((label) => !stations.some((station) => station.label === label));
		if (unknown) refuse(404, message('job.no-station', { station: unknown }));
		const known = await trx.selectFrom('person').select('id').where('id', 'in', people).execute();
		if (known.length < people.length) refuse(400, message('server.operator-gone'));
		await insertReadings(trx, jobId, readings);
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

/**
 * Stores readings that a browser sends again after a restore. Those whose job, station or operator
 * is missing are saved as strays.
 *
 * @returns the newest readings of the stations of the others
 */
export async function storeOffered(
	db: Database,
	jobId: string,
	sent: readonly Reading[],
	clock?: Clock
): Promise<Reading[]> {
	return inTransaction(db, async (trx) => {
		const placed = await withPlace(trx, jobId, sent);
		const strays = sent.filter((reading) => !placed.includes(reading));
		await keepStrays(
			trx,
			strays.map((entry) => ({ of: 'reading', owner: jobId, entry, person: entry.person }))
		);
		return placed.length > 0 ? storeReadings(trx, jobId, placed, clock) : [];
	});
}
