/** Jobs put into the database, and what is added to their lists. */
import {
	ENTRY_LISTS,
	SORT_OF,
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
import { keepParts } from '../parts';

const json = (value: unknown) => JSON.stringify(value);
const jsonOrNull = (value: unknown) => (value === undefined ? null : json(value));

/**
 * Stores a whole job in one transaction, or nothing: a job that is already in
 * the book, or whose number another job has, is a problem and changes nothing.
 */
export async function importJob(db: Database, job: Job): Promise<{ problems: Problem[] }> {
	return db.transaction().execute(async (trx) => {
		const taken = await trx
			.selectFrom('job')
			.select(['id', 'number'])
			.where((where) => where.or([where('id', '=', job.id), where('number', '=', job.number)]))
			.executeTakeFirst();
		if (taken) {
			return {
				problems: [
					taken.id === job.id
						? {
								path: 'id',
								message: `job ${taken.number} is already in the book; nothing was changed`
							}
						: { path: 'number', message: `another job already has the number ${job.number}` }
				]
			};
		}
		const ids = job.readings.map((reading) => reading.id);
		const known =
			ids.length > 0 &&
			(await trx.selectFrom('reading').select('id').where('id', 'in', ids).executeTakeFirst());
		if (known) {
			const at = ids.indexOf(known.id);
			return {
				problems: [
					{ path: `readings[${at}].id`, message: 'this reading already belongs to another job' }
				]
			};
		}
		await insertJob(trx, job);
		return { problems: [] };
	});
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
	await trx
		.insertInto('job')
		.values({
			id: job.id,
			number: job.number,
			customer_id: customer.id,
			engine_id: engine.id,
			taken_in: new Date(job.takenIn),
			setup: json(job.setup),
			search: searchText(job, job.setup)
		})
		.execute();
	await keepParts(trx, partsIn(job.setup));
	await trx
		.insertInto('head')
		.values(job.heads.map((head, position) => ({ job_id: job.id, position, ...head })))
		.execute();
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
	for (const reading of job.readings) await insertReading(trx, job.id, reading);
	for (const entry of job.voids) await insertVoid(trx, job.id, entry);
	for (const decision of job.decisions) await insertDecision(trx, job.id, decision);
	for (const list of ENTRY_LISTS) {
		for (const entry of job[list]) await insertEntry(trx, job.id, list, entry);
	}
}

/** What a job is found by. */
export const searchText = (
	job: Pick<Job, 'number' | 'customer' | 'engine'>,
	{ use, toldByCustomer }: Setup
) =>
	[
		job.number,
		job.customer.name,
		job.customer.contact,
		job.engine.name,
		use.duty,
		use.workDone,
		toldByCustomer
	]
		.filter(Boolean)
		.join(' ');

type Entry = Job[EntryList][number];

/** Adds to one of the lists that are kept whole; the same id twice is harmless. */
export const insertEntry = (db: Database, jobId: string, list: EntryList, entry: Entry) =>
	db
		.insertInto('job_entry')
		.values({ id: entry.id, job_id: jobId, list, entry: json(entry), person_id: entry.person })
		.onConflict((conflict) => conflict.column('id').doNothing())
		.execute();

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
			return [{ sort: SORT_OF[place], part: own, stock: null, retired: false } as LibraryPart];
		})
	);
}

/** Adds a reading; the same id twice is harmless. */
export const insertReading = (db: Database, jobId: string, reading: Reading) =>
	db
		.insertInto('reading')
		.values({
			id: reading.id,
			job_id: jobId,
			station: reading.station,
			quantity: reading.quantity,
			read: reading.read,
			gauge: json(reading.gauge),
			in_place: json(reading.inPlace),
			engine_state: reading.engine ?? null,
			set_id: reading.set ?? null,
			lash: jsonOrNull(reading.lash),
			...(reading.clock && { clock: json(reading.clock) }),
			person_id: reading.person,
			at: new Date(reading.at)
		})
		.onConflict((conflict) => conflict.column('id').doNothing())
		.execute();

/** Strikes a reading through, with a reason; the same id twice is harmless. */
export const insertVoid = (db: Database, jobId: string, entry: VoidEntry) =>
	db
		.insertInto('reading_void')
		.values({
			id: entry.id,
			job_id: jobId,
			reading_id: entry.reading,
			reason: entry.reason,
			person_id: entry.person,
			at: new Date(entry.at)
		})
		.onConflict((conflict) => conflict.column('id').doNothing())
		.execute();

/** Adds what somebody decided. */
export const insertDecision = (db: Database, jobId: string, decision: Decision) =>
	db
		.insertInto('decision')
		.values({
			id: decision.id,
			job_id: jobId,
			subject: decision.subject,
			from: jsonOrNull(decision.from),
			to: jsonOrNull(decision.to),
			reason: decision.reason ?? null,
			person_id: decision.person,
			at: new Date(decision.at)
		})
		.execute();
