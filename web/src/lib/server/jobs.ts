/** Jobs in the database: put in, taken out whole, found, changed. */
import { error } from '@sveltejs/kit';
import { sql, type Selectable } from 'kysely';
import { v7 as uuid } from 'uuid';
import {
	SORT_OF,
	STATION_PARTS,
	type Acceptance,
	type Decision,
	type HeadWork,
	type Inspection,
	type Job,
	type LibraryPart,
	type Person,
	type Reading,
	type Setup,
	type StationParts,
	type VoidEntry
} from '@zinc-ledger/core';
import type { Problem } from '@zinc-ledger/core/file';
import type { Database } from './database/connection';
import type { EntryList, Tables } from './database/schema';
import { keepParts } from './parts';

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
const searchText = (
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

export const ENTRY_LISTS = ['inspections', 'headWork', 'acceptances'] as const;
type Entry = Inspection | HeadWork | Acceptance;

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
function partsIn(setup: Setup): LibraryPart[] {
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

const insertDecision = (db: Database, jobId: string, decision: Decision) =>
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

/** A job with the revision of its set-up, which a change must name. */
export interface Loaded {
	readonly job: Job;
	readonly revision: number;
}

/** A job whole, as its document; undefined when there is none with this id. */
export async function loadJob(db: Database, id: string): Promise<Loaded | undefined> {
	return (await loadJobs(db, [id]))[0];
}

/** Several jobs whole, in the order of the ids. */
export async function loadJobs(db: Database, ids: readonly string[]): Promise<Loaded[]> {
	if (ids.length === 0) return [];
	const [jobs, heads, stations, readings, voids, decisions, kept] = await Promise.all([
		db
			.selectFrom('job')
			.innerJoin('customer', 'customer.id', 'job.customer_id')
			.innerJoin('engine', 'engine.id', 'job.engine_id')
			.selectAll('job')
			.select([
				'customer.name as customer_name',
				'customer.contact as customer_contact',
				'engine.name as engine_name',
				'engine.layout as engine_layout'
			])
			.where('job.id', 'in', ids)
			.execute(),
		db.selectFrom('head').selectAll().where('job_id', 'in', ids).orderBy('position').execute(),
		db.selectFrom('station').selectAll().where('job_id', 'in', ids).orderBy('position').execute(),
		db.selectFrom('reading').selectAll().where('job_id', 'in', ids).orderBy('position').execute(),
		db
			.selectFrom('reading_void')
			.selectAll()
			.where('job_id', 'in', ids)
			.orderBy('position')
			.execute(),
		db.selectFrom('decision').selectAll().where('job_id', 'in', ids).orderBy('position').execute(),
		db.selectFrom('job_entry').selectAll().where('job_id', 'in', ids).orderBy('position').execute()
	]);
	const people = await peopleNamed(db, [
		...readings.map((row) => row.person_id),
		...voids.map((row) => row.person_id),
		...decisions.map((row) => row.person_id),
		...kept.map((row) => row.person_id)
	]);
	const of = <Row extends { job_id: string }>(rows: readonly Row[], id: string) =>
		rows.filter((row) => row.job_id === id);

	return ids.flatMap((id) => {
		const row = jobs.find((job) => job.id === id);
		if (!row) return [];
		const listed = <E extends Entry>(list: EntryList) =>
			of(kept, id)
				.filter((entry) => entry.list === list)
				.map(({ entry }) => entry as E);
		const entries = {
			readings: of(readings, id).map(readingOf),
			voids: of(voids, id).map(voidOf),
			decisions: of(decisions, id).map(decisionOf),
			inspections: listed<Inspection>('inspections'),
			headWork: listed<HeadWork>('headWork'),
			acceptances: listed<Acceptance>('acceptances')
		};
		const involved = new Set(Object.values(entries).flatMap((list) => list.map((e) => e.person)));
		const job: Job = {
			format: 'zinc-ledger/job',
			version: 1,
			id: row.id,
			number: row.number,
			takenIn: row.taken_in.toISOString(),
			customer: {
				id: row.customer_id,
				name: row.customer_name,
				...(row.customer_contact !== null && { contact: row.customer_contact })
			},
			engine: { id: row.engine_id, name: row.engine_name, layout: row.engine_layout },
			setup: row.setup,
			heads: of(heads, id).map((head) => ({ id: head.id, name: head.name })),
			stations: of(stations, id).map((station) => station.entry),
			people: people.filter((person) => involved.has(person.id)),
			...entries
		};
		return [{ job, revision: row.revision }];
	});
}

async function peopleNamed(db: Database, ids: readonly string[]): Promise<Person[]> {
	const wanted = [...new Set(ids)];
	if (wanted.length === 0) return [];
	return db
		.selectFrom('person')
		.select(['id', 'name', 'initials'])
		.where('id', 'in', wanted)
		.orderBy('initials')
		.orderBy('id')
		.execute();
}

function readingOf(row: Selectable<Tables['reading']>): Reading {
	return {
		id: row.id,
		station: row.station,
		quantity: row.quantity,
		read: row.read,
		gauge: row.gauge,
		inPlace: row.in_place,
		...(row.engine_state && { engine: row.engine_state }),
		person: row.person_id,
		at: row.at.toISOString()
	};
}

function voidOf(row: Selectable<Tables['reading_void']>): VoidEntry {
	return {
		id: row.id,
		reading: row.reading_id,
		reason: row.reason,
		person: row.person_id,
		at: row.at.toISOString()
	};
}

function decisionOf(row: Selectable<Tables['decision']>): Decision {
	return {
		id: row.id,
		subject: row.subject,
		...(row.from !== null && { from: row.from as Decision['from'] }),
		...(row.to !== null && { to: row.to as Decision['to'] }),
		...(row.reason !== null && { reason: row.reason }),
		person: row.person_id,
		at: row.at.toISOString()
	};
}

/** Words of a search that are looked for each on its own. */
const MOST_WORDS = 8;

/**
 * The jobs that have the text in their number, customer, engine or use, newest
 * first; where none has, those that nearly have each of its words, most alike first.
 */
export async function findJobIds(db: Database, text: string, limit: number): Promise<string[]> {
	const wanted = text.trim();
	const like = `%${wanted.replace(/[\\%_]/g, '\\$&')}%`;
	const exact = await db
		.selectFrom('job')
		.select('id')
		.$if(wanted !== '', (query) => query.where('search', 'ilike', like))
		.orderBy('taken_in', 'desc')
		.orderBy('id', 'desc')
		.limit(limit)
		.execute();
	if (exact.length > 0 || wanted === '') return exact.map((row) => row.id);
	const words = wanted.split(/\s+/).slice(0, MOST_WORDS);
	const near = await db
		.selectFrom('job')
		.select('id')
		.where((where) => where.and(words.map((word) => sql<boolean>`${word} <% search`)))
		.orderBy(
			sql.join(
				words.map((word) => sql`word_similarity(${word}, search)`),
				sql` + `
			),
			'desc'
		)
		.orderBy('taken_in', 'desc')
		.limit(limit)
		.execute();
	return near.map((row) => row.id);
}

/** One more than the highest job number that is a plain number. */
export async function nextJobNumber(db: Database): Promise<string> {
	const row = await db
		.selectFrom('job')
		.select(sql<string | null>`max(number::bigint)`.as('highest'))
		.where(sql<boolean>`number ~ '^[0-9]{1,12}$'`)
		.executeTakeFirst();
	return String(Number(row?.highest ?? 1000) + 1);
}

/**
 * Changes a job's set-up, if nobody changed it since the named revision. Each
 * leaf that differs is kept as a decision with who and when.
 *
 * @returns the new revision, or null when somebody else was first
 */
export async function saveSetup(
	db: Database,
	jobId: string,
	revision: number,
	setup: Setup,
	person: Person
): Promise<number | null> {
	return db.transaction().execute(async (trx) => {
		const row = await trx
			.selectFrom('job')
			.innerJoin('customer', 'customer.id', 'job.customer_id')
			.innerJoin('engine', 'engine.id', 'job.engine_id')
			.select(['setup', 'revision', 'number', 'customer.contact'])
			.select(['customer.name as customer_name', 'engine.name as engine_name'])
			.where('job.id', '=', jobId)
			.forUpdate('job')
			.executeTakeFirst();
		if (!row) error(404, 'There is no such job.');
		if (row.revision !== revision) return null;
		await trx
			.updateTable('job')
			.set({
				setup: json(setup),
				search: searchText(
					{
						number: row.number,
						customer: { id: '', name: row.customer_name, contact: row.contact ?? undefined },
						engine: { name: row.engine_name } as Job['engine']
					},
					setup
				),
				revision: revision + 1,
				changed_by: person.id,
				changed_at: new Date()
			})
			.where('id', '=', jobId)
			.execute();
		await keepParts(trx, partsIn(setup));
		for (const change of changesBetween(row.setup, setup)) {
			await insertDecision(
				trx,
				jobId,
				decide(person, { ...change, subject: `setup.${change.subject}` })
			);
		}
		return revision + 1;
	});
}

/** Sets the shims or the own parts of a station's build, and keeps who decided so. */
export async function setStation<K extends 'shims' | 'parts'>(
	db: Database,
	jobId: string,
	label: string,
	what: K,
	value: K extends 'shims' ? string[] : StationParts | undefined,
	person: Person
): Promise<Decision> {
	return db.transaction().execute(async (trx) => {
		const row = await trx
			.selectFrom('station')
			.select('entry')
			.where('job_id', '=', jobId)
			.where('label', '=', label)
			.forUpdate()
			.executeTakeFirst();
		if (!row) error(404, `There is no station ${label} on this job.`);
		const decision = decide(person, {
			subject: `stations.${label}.${what}`,
			from: row.entry[what] as Decision['from'],
			to: value as Decision['to']
		});
		await trx
			.updateTable('station')
			.set({ entry: json({ ...row.entry, [what]: value }) })
			.where('job_id', '=', jobId)
			.where('label', '=', label)
			.execute();
		await insertDecision(trx, jobId, decision);
		return decision;
	});
}

function decide(person: Person, what: Pick<Decision, 'subject' | 'from' | 'to'>): Decision {
	return { id: uuid(), ...what, person: person.id, at: new Date().toISOString() };
}

/** The leaves that differ between two plain values, by path. */
export function changesBetween(
	before: unknown,
	after: unknown,
	path = ''
): Pick<Decision, 'subject' | 'from' | 'to'>[] {
	const isBranch = (value: unknown): value is Record<string, unknown> =>
		typeof value === 'object' && value !== null && !Array.isArray(value);
	if (isBranch(before) || isBranch(after)) {
		const [old, now] = [isBranch(before) ? before : {}, isBranch(after) ? after : {}];
		const keys = [...new Set([...Object.keys(old), ...Object.keys(now)])];
		return keys.flatMap((key) =>
			changesBetween(old[key], now[key], path === '' ? key : `${path}.${key}`)
		);
	}
	if (json(before) === json(after)) return [];
	return [{ subject: path, from: before as Decision['from'], to: after as Decision['to'] }];
}
