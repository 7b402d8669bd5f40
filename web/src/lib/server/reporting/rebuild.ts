/**
 * What a shop asks about, kept beside the documents it is derived from: how jobs stand, what
 * was signed, what springs did. Every row can be made again, and none is ever edited.
 */
import type { Database } from '../database/connection';
import { deriveJobs } from './of-job';
import { deriveSheet } from './of-sheet';
import { deriveSpring } from './of-spring';

/** Rows looked up at once. */
const AT_ONCE = 200;
const TABLES = [
	'job_state',
	'job_stage',
	'part_need',
	'station_result',
	'spring_result',
	'service_run',
	'service_item'
] as const;

/** Makes all of it anew, as after a change of how it is worked out. */
export async function rebuild(db: Database): Promise<void> {
	for (const table of TABLES) await db.deleteFrom(table).execute();
	await deriveMissing(db);
}

/**
 * Makes what is not there yet, one document after another.
 *
 * @param pause between two, so that whoever works meanwhile is not kept waiting
 */
export async function deriveMissing(
	db: Database,
	pause: () => Promise<unknown> = () => Promise.resolve()
): Promise<void> {
	await each(
		() =>
			db
				.selectFrom('job')
				.select('id')
				.where('id', 'not in', db.selectFrom('job_state').select('job_id'))
				// A head's visits one after another: what ran before one was counted at those before it.
				.orderBy('taken_in')
				.limit(AT_ONCE)
				.execute(),
		({ id }) => deriveJobs(db, [id])
	);
	await each(
		() =>
			db
				.selectFrom('signed_sheet')
				.select(['id', 'job_id', 'revision', 'content'])
				.where('id', 'not in', db.selectFrom('station_result').select('sheet_id'))
				.limit(AT_ONCE)
				.execute(),
		(sheet) => deriveSheet(db, sheet)
	);
	await each(
		() =>
			db
				.selectFrom('sweep')
				.select('spring_id as id')
				.distinct()
				.where('id', 'not in', db.selectFrom('spring_result').select('sweep_id'))
				.limit(AT_ONCE)
				.execute(),
		({ id }) => deriveSpring(db, id)
	);

	/** Goes on until none is found that was not seen before: one that cannot be made is left out. */
	async function each<Row extends { readonly id: string }>(
		some: () => Promise<Row[]>,
		make: (row: Row) => Promise<void>
	): Promise<void> {
		const seen = new Set<string>();
		for (;;) {
			const fresh = (await some()).filter(({ id }) => !seen.has(id));
			if (fresh.length === 0) return;
			for (const row of fresh) {
				seen.add(row.id);
				await make(row);
				await pause();
			}
		}
	}
}
