/**
 * What browsers bring after a restore that the backup has no place for: its job, station, spring
 * or person came after it. It is kept as it was sent, shown, and goes where it belongs once that
 * is there again.
 */
import type { Job, Reading, Sweep } from '@zinc-ledger/core';
import type { Database } from './database/connection';
import { insertReadings } from './jobs/store';

export const epochOf = async (db: Database): Promise<string> =>
	(await db.selectFrom('shop').select('epoch').executeTakeFirstOrThrow()).epoch;

/** Whether a request says that the server had this before it was restored. */
export const isOfferedAgain = (request: Request): boolean =>
	request.headers.get('x-offered-again') === 'yes';

export type Stray = { readonly owner: string; readonly person: string | null } & (
	| { readonly of: 'reading'; readonly entry: Reading }
	| { readonly of: 'sweep'; readonly entry: Sweep }
);

/** Keeps strays, each once however often it comes. */
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

/** Readings that name a job, a station and a person that are here. */
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

/** What is kept of one job or set, by whoever took it. */
export interface StraysOf {
	readonly owner: string;
	readonly of: 'reading' | 'sweep';
	readonly entries: readonly {
		readonly id: string;
		readonly entry: Reading | Sweep;
		/** Null where the person is not here either. */
		readonly person: string | null;
	}[];
}

export async function listStrays(db: Database): Promise<StraysOf[]> {
	const rows = await db
		.selectFrom('stray')
		.leftJoin('person', 'person.id', 'stray.person')
		.select(['stray.id', 'of', 'owner', 'entry', 'person.name'])
		.orderBy('owner')
		.orderBy('stray.id')
		.execute();
	return [...new Set(rows.map(({ owner }) => owner))].map((owner) => {
		const own = rows.filter((row) => row.owner === owner);
		const entries = own.map(({ id, entry, name }) => ({ id, entry, person: name }));
		return { owner, of: own[0]!.of, entries };
	});
}

export const countStrays = async (db: Database): Promise<number> => {
	const { count } = await db
		.selectFrom('stray')
		.select(({ fn }) => fn.countAll<string>().as('count'))
		.executeTakeFirstOrThrow();
	return Number(count);
};

/** Puts readings that strayed where they belong, now that their job is here. */
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
