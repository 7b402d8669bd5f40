/** Jobs put into the database, and what is added to their lists. */
import {
	ENTRY_LISTS,
	TYPE_OF,
	STATION_PARTS,
	type Decision,
	type EntryList,
	type Job,
	type LibraryPart,
	type Person,
	type Reading,
	type Setup,
	type VoidEntry
} from '@zinc-ledger/core';
import type { Problem } from '@zinc-ledger/core/file';
import type { Database } from '../database/connection';
import { inTransaction } from '../database/transaction';
import { headAt } from '../visits/heads';
import { keepParts } from '../parts/parts';
import { decisionOf, readingOf, voidOf } from './load';
import { AlreadyKept, once } from './once';
import { message } from '@zinc-ledger/core';

const json = (value: unknown) => JSON.stringify(value);
const jsonOrNull = (value: unknown) => (value === undefined ? null : json(value));

/** What keeps a file out of the book. */
class Refused extends Error {
	constructor(readonly problem: Problem) {
		super(problem.text.code);
	}
}

/**
 * Stores a whole job in one transaction, or nothing: a job that is already in
 * the book, or whose number or entries another job has, is a problem and changes nothing.
 *
 * @param also what else is to be done with it, or not at all
 */
export async function importJob(
	db: Database,
	job: Job,
	also: (trx: Database) => Promise<unknown> = () => Promise.resolve()
): Promise<{ problems: Problem[] }> {
	try {
		await inTransaction(db, async (trx) => {
			await insertJob(trx, job);
			await also(trx);
		});
		return { problems: [] };
	} catch (failure) {
		if (failure instanceof Refused) return { problems: [failure.problem] };
		if (failure instanceof AlreadyKept) return { problems: [belongsToAnother(job, failure.id)] };
		throw failure;
	}
}

/** Keeps who brought a job in from a file: its entries name whoever made them elsewhere. */
export async function noteImport(trx: Database, job: string, by: Person | null): Promise<void> {
	if (by === null) return;
	await trx
		.updateTable('job')
		.set({ imported_by: by.id, imported_at: new Date() })
		.where('id', '=', job)
		.execute();
}

/** Who brought a job in from a file; null for one begun here. */
export async function importedBy(db: Database, job: string): Promise<string | null> {
	const row = await db
		.selectFrom('job')
		.innerJoin('person', 'person.id', 'job.imported_by')
		.select('person.name')
		.where('job.id', '=', job)
		.executeTakeFirst();
	return row?.name ?? null;
}

/** Where in a job the entry is that another job has already. */
function belongsToAnother(job: Job, id: string): Problem {
	const lists = ['readings', 'voids', 'decisions', ...ENTRY_LISTS] as const;
	for (const list of lists) {
		const at = job[list].findIndex((entry) => entry.id === id);
		if (at >= 0) return { path: `${list}[${at}].id`, text: message('import.entry-elsewhere') };
	}
	return { path: 'id', text: message('import.something-elsewhere') };
}

/** Puts the job itself into the book. @throws {@link Refused} where it, or its number, is there */
async function insertRow(trx: Database, job: Job): Promise<void> {
	const fresh = await trx
		.insertInto('job')
		.values({
			id: job.id,
			number: job.number,
			customer_id: job.customer.id,
			engine_id: job.engine.id,
			taken_in: new Date(job.takenIn),
			setup: json(job.setup),
			search: searchText(job, job.setup),
			visit_of: jsonOrNull(job.visitOf)
		})
		.onConflict((conflict) => conflict.doNothing())
		.returning('id')
		.executeTakeFirst();
	if (fresh) return;
	const same = await trx
		.selectFrom('job')
		.select('number')
		.where('id', '=', job.id)
		.executeTakeFirst();
	throw new Refused(
		same
			? { path: 'id', text: message('import.job-there', { number: same.number }) }
			: { path: 'number', text: message('import.number-taken', { number: job.number }) }
	);
}

async function insertJob(trx: Database, job: Job): Promise<void> {
	for (const person of job.people) await keepPerson(trx, person);
	const { customer, engine } = job;
	await trx
		.insertInto('customer')
		.values({ id: customer.id, name: customer.name, contact: customer.contact ?? null })
		.onConflict((conflict) => conflict.column('id').doNothing())
		.execute();
	await trx
		.insertInto('engine')
		.values({
			id: engine.id,
			customer_id: customer.id,
			name: engine.name,
			layout: json(engine.layout)
		})
		.onConflict((conflict) => conflict.column('id').doNothing())
		.execute();
	await insertRow(trx, job);
	await keepParts(trx, partsIn(job.setup));
	await insertHeads(trx, job);
	await trx
		.insertInto('station')
		.values(
			job.stations.map((station, position) => ({
				job_id: job.id,
				label: station.label,
				head_id: station.head,
				position,
				entry: json(station)
			}))
		)
		.execute();
	await insertReadings(trx, job.id, job.readings);
	await insertVoids(trx, job.id, job.voids);
	await insertDecisions(trx, job.id, job.decisions);
	for (const list of ENTRY_LISTS) await insertEntries(trx, job.id, list, job[list]);
}

/** The heads of a job, each known as the one it is wherever it is fitted. */
async function insertHeads(trx: Database, job: Job): Promise<void> {
	for (const [position, head] of job.heads.entries()) {
		const { id, name, identity } = head;
		const known = await headAt(trx, job.engine.id, head);
		await trx
			.insertInto('head')
			.values({
				job_id: job.id,
				id,
				position,
				name,
				cylinder_head_id: known,
				stated: identity !== undefined
			})
			.execute();
	}
}

/** What a job is found by. */
export const searchText = (
	job: Pick<Job, 'number' | 'customer' | 'engine'>,
	{ use, customerStatement }: Setup
) =>
	[
		job.number,
		job.customer.name,
		job.customer.contact,
		job.engine.name,
		use.duty,
		use.workDone,
		customerStatement
	]
		.filter(Boolean)
		.join(' ');

type Entry = Job[EntryList][number];

/** What the server adds to an entry of a list: its time, and what stood before a plan. */
const BY_SERVER = ['at', 'before'];

/**
 * Adds to one of the lists that are kept whole; the same entry twice is harmless.
 *
 * @throws {@link AlreadyKept} where something else is kept under an id
 */
export function insertEntries(
	db: Database,
	jobId: string,
	list: EntryList,
	entries: readonly Entry[]
): Promise<void> {
	return once(jobId, entries, BY_SERVER, {
		insert: (fresh) =>
			db
				.insertInto('job_entry')
				.values(
					fresh.map((entry) => ({
						id: entry.id,
						job_id: jobId,
						list,
						entry: json(entry),
						person_id: entry.person
					}))
				)
				.onConflict((conflict) => conflict.column('id').doNothing())
				.returning('id')
				.execute(),
		find: async (ids) => {
			const rows = await db
				.selectFrom('job_entry')
				.select(['job_id', 'entry', 'list'])
				.where('id', 'in', ids)
				.execute();
			// One of another list is another entry, whatever is in it.
			return rows.map(({ job_id, entry, list: kept }) => ({
				owner: kept === list ? job_id : '',
				entry: entry as Entry
			}));
		}
	});
}

const keepPerson = (trx: Database, person: Person) =>
	trx
		.insertInto('person')
		.values({ ...person, length_unit: null, load_unit: null })
		.onConflict((conflict) => conflict.column('id').doNothing())
		.execute();

/** The parts of a set-up that the shop's library knows, or is to know, by their ids. */
export function partsIn(setup: Setup): LibraryPart[] {
	return Object.values(setup.kinds).flatMap((kind) =>
		STATION_PARTS.flatMap((place) => {
			const part = kind[place];
			if (!part?.id) return [];
			const { groundOff: _, ...own } = part as typeof part & { groundOff?: string };
			return [{ type: TYPE_OF[place], part: own, stock: null, retired: false } as LibraryPart];
		})
	);
}

/**
 * Adds readings; the same one twice is harmless.
 *
 * @throws {@link AlreadyKept} where something else is kept under an id
 */
export function insertReadings(
	db: Database,
	jobId: string,
	readings: readonly Reading[]
): Promise<void> {
	return once(jobId, readings, ['clock'], {
		insert: (fresh) =>
			db
				.insertInto('reading')
				.values(
					fresh.map((reading) => ({
						id: reading.id,
						job_id: jobId,
						station: reading.station,
						quantity: reading.quantity,
						read: reading.read,
						gauge: json(reading.gauge),
						in_place: json(reading.inPlace),
						engine_state: reading.engine ?? null,
						came_from: reading.from ?? null,
						set_id: reading.set ?? null,
						lash: jsonOrNull(reading.lash),
						...(reading.clock && { clock: json(reading.clock) }),
						person_id: reading.person,
						at: new Date(reading.at)
					}))
				)
				.onConflict((conflict) => conflict.column('id').doNothing())
				.returning('id')
				.execute(),
		find: async (ids) => {
			const rows = await db.selectFrom('reading').selectAll().where('id', 'in', ids).execute();
			return rows.map((row) => ({ owner: row.job_id, entry: readingOf(row) }));
		}
	});
}

/** Strikes readings through, each with its reason, as {@link insertReadings} adds them. */
export function insertVoids(
	db: Database,
	jobId: string,
	voids: readonly VoidEntry[]
): Promise<void> {
	return once(jobId, voids, [], {
		insert: (fresh) =>
			db
				.insertInto('reading_void')
				.values(
					fresh.map((entry) => ({
						id: entry.id,
						job_id: jobId,
						reading_id: entry.reading,
						reason: entry.reason,
						person_id: entry.person,
						at: new Date(entry.at)
					}))
				)
				.onConflict((conflict) => conflict.column('id').doNothing())
				.returning('id')
				.execute(),
		find: async (ids) => {
			const rows = await db.selectFrom('reading_void').selectAll().where('id', 'in', ids).execute();
			return rows.map((row) => ({ owner: row.job_id, entry: voidOf(row) }));
		}
	});
}

/** Adds what somebody decided, as {@link insertReadings} adds readings. */
export function insertDecisions(
	db: Database,
	jobId: string,
	decisions: readonly Decision[]
): Promise<void> {
	return once(jobId, decisions, [], {
		insert: (fresh) =>
			db
				.insertInto('decision')
				.values(
					fresh.map((decision) => ({
						id: decision.id,
						job_id: jobId,
						subject: decision.subject,
						from: jsonOrNull(decision.from),
						to: jsonOrNull(decision.to),
						reason: decision.reason ?? null,
						person_id: decision.person,
						at: new Date(decision.at)
					}))
				)
				.onConflict((conflict) => conflict.column('id').doNothing())
				.returning('id')
				.execute(),
		find: async (ids) => {
			const rows = await db.selectFrom('decision').selectAll().where('id', 'in', ids).execute();
			return rows.map((row) => ({ owner: row.job_id, entry: decisionOf(row) }));
		}
	});
}
