/**
 * What browsers send again after a restore although the backup lacks its job, station, spring or
 * operator. It is saved as it was sent and listed. Readings move to their job when its file is
 * imported.
 */
import type { Job, Reading, Sweep } from '@zinc-ledger/core';
import type { Database } from '../database/connection';
import { insertReadings } from './store';

export const epochOf = async (db: Database): Promise<string> =>
	(await db.selectFrom('shop').select('epoch').executeTakeFirstOrThrow()).epoch;

/** Whether a request says that the server had this before the restore. */
export const isOfferedAgain = (request: Request): boolean =>
	request.headers.get('x-offered-again') === 'yes';

export type Stray = { readonly owner: string; readonly person: string | null } & (
	| { readonly of: 'reading'; readonly entry: Reading }
	| { readonly of: 'sweep'; readonly entry: Sweep }
);

/** Saves strays, each once however often it is sent. */
export async function keepStrays(db: Database, strays: readonly Stray[]): Promise<void> {
	if (strays.length === 0) return;
	await db
		.insertInto('stray')
		.values(
			strays.map(({ of, owner, entry, person }) => ({
				id: entry.id,
				of,
				owner,
				entry: JSON.stringify(entry),
				person
			}))
		)
		.onConflict((same) => same.column('id').doNothing())
		.execute();
}

/** Returns the readings whose job, station and operator are in this database. */
export async function withPlace(
	db: Database,
	jobId: string,
	readings: readonly Reading[]
): Promise<readonly Reading[]> {
	const stations = await db
		.selectFrom('station')
		.select('label')
		.where('job_id', '=', jobId)
		.execute();
	const people = await db.selectFrom('person').select('id').execute();
	const labels = new Set(stations.map(({ label }) => label));
	const ids = new Set(people.map(({ id }) => id));
	return readings.filter(({ station, person }) => labels.has(station) && ids.has(person));
}

/** The strays of one job or set of springs. */
export interface StraysOf {
	readonly owner: string;
	readonly of: 'reading' | 'sweep';
	/** Number of the job, or name of the set; null if it is not in this database. */
	readonly name: string | null;
	readonly entries: readonly {
		readonly id: string;
		readonly entry: Reading | Sweep;
		/** Null if the operator is not in this database. */
		readonly person: string | null;
	}[];
}

export async function listStrays(db: Database): Promise<StraysOf[]> {
	const rows = await db
		.selectFrom('stray')
		.leftJoin('person', 'person.id', 'stray.person')
		.leftJoin('job', 'job.id', 'stray.owner')
		.leftJoin('spring_set', 'spring_set.id', 'stray.owner')
		.select(['stray.id', 'of', 'owner', 'stray.entry', 'person.name as person'])
		.select(['job.number', 'spring_set.name as set'])
		.orderBy('owner')
		.orderBy('stray.id')
		.execute();
	return [...new Set(rows.map(({ owner }) => owner))].map((owner) => {
		const own = rows.filter((row) => row.owner === owner);
		const [{ of, number, set }] = own as [(typeof own)[number]];
		const entries = own.map(({ id, entry, person }) => ({ id, entry, person }));
		return { owner, of, name: number ?? set, entries };
	});
}

export const countStrays = async (db: Database): Promise<number> => {
	const { count } = await db
		.selectFrom('stray')
		.select(({ fn }) => fn.countAll<string>().as('count'))
		.executeTakeFirstOrThrow();
	return Number(count);
};

/** Moves the strays of a job into it; called when its file was imported. */
export async function claimStrays(trx: Database, job: Job): Promise<void> {
	const rows = await trx
		.selectFrom('stray')
		.select('entry')
		.where('of', '=', 'reading')
		.where('owner', '=', job.id)
		.orderBy('id')
		.execute();
	const own = new Set(job.readings.map(({ id }) => id));
	const placed = await withPlace(
		trx,
		job.id,
		rows.map(({ entry }) => entry as Reading)
	);
	const missing = placed.filter(({ id }) => !own.has(id));
	if (missing.length > 0) await insertReadings(trx, job.id, missing);
	if (placed.length > 0)
		await trx
			.deleteFrom('stray')
			.where(
				'id',
				'in',
				placed.map(({ id }) => id)
			)
			.execute();
}
