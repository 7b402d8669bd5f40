/** Jobs taken out of the database whole. */
import type { Selectable } from 'kysely';
import {
	type Decision,
	type EntryList,
	type Job,
	type Person,
	type Reading,
	type VoidEntry
} from '@zinc-ledger/core';
import { VERSION } from '@zinc-ledger/core/schema';
import type { Database } from '../database/connection';
import type { Tables } from '../database/schema';

/** A job with the revision of its set-up, which a change must name. */
export interface Loaded {
	readonly job: Job;
	readonly revision: number;
}

/** A job whole, as its document; undefined when there is none with this id. */
export async function loadJob(db: Database, id: string): Promise<Loaded | undefined> {
	return (await loadJobs(db, [id]))[0];
}

/** All rows of some jobs. */
async function rowsOf(db: Database, ids: readonly string[]) {
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
		db
			.selectFrom('head')
			.innerJoin('cylinder_head', 'cylinder_head.id', 'head.cylinder_head_id')
			.selectAll('head')
			.select('cylinder_head.mark')
			.where('job_id', 'in', ids)
			.orderBy('position')
			.execute(),
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
	return { jobs, heads, stations, readings, voids, decisions, kept };
}

/** Several jobs whole, in the order of the ids. */
export async function loadJobs(db: Database, ids: readonly string[]): Promise<Loaded[]> {
	if (ids.length === 0) return [];
	const { jobs, heads, stations, readings, voids, decisions, kept } = await rowsOf(db, ids);
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
		const listed = <L extends EntryList>(list: L) =>
			of(kept, id)
				.filter((entry) => entry.list === list)
				.map(({ entry }) => entry as Job[L][number]);
		const entries = {
			readings: of(readings, id).map(readingOf),
			voids: of(voids, id).map(voidOf),
			decisions: of(decisions, id).map(decisionOf),
			inspections: listed('inspections'),
			headWork: listed('headWork'),
			acceptances: listed('acceptances'),
			plans: listed('plans'),
			assembly: listed('assembly'),
			checks: listed('checks'),
			notes: listed('notes'),
			asFound: listed('asFound'),
			motions: listed('motions'),
			since: listed('since'),
			looks: listed('looks'),
			trials: listed('trials'),
			outcomes: listed('outcomes')
		};
		const involved = new Set(Object.values(entries).flatMap((list) => list.map((e) => e.person)));
		const job: Job = {
			format: 'zinc-ledger/job',
			version: VERSION,
			id: row.id,
			number: row.number,
			takenIn: row.taken_in.toISOString(),
			customer: {
				id: row.customer_id,
				name: row.customer_name,
				...(row.customer_contact !== null && { contact: row.customer_contact })
			},
			engine: { id: row.engine_id, name: row.engine_name, layout: row.engine_layout },
			...(row.visit_of && { visitOf: row.visit_of }),
			setup: row.setup,
			heads: of(heads, id).map((head) => ({
				id: head.id,
				name: head.name,
				...(head.stated && { identity: head.cylinder_head_id }),
				...(head.mark !== null && { mark: head.mark })
			})),
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

export function readingOf(row: Selectable<Tables['reading']>): Reading {
	return {
		id: row.id,
		station: row.station,
		quantity: row.quantity,
		read: row.read,
		gauge: row.gauge,
		inPlace: row.in_place,
		...(row.came_from && { from: row.came_from }),
		...(row.engine_state && { engine: row.engine_state }),
		...(row.set_id && { set: row.set_id }),
		...(row.lash && { lash: row.lash }),
		...(row.clock && { clock: row.clock }),
		person: row.person_id,
		at: row.at.toISOString()
	};
}

/** The readings with these ids. */
export async function findReadings(db: Database, ids: readonly string[]): Promise<Reading[]> {
	const rows = await db
		.selectFrom('reading')
		.selectAll()
		.where('id', 'in', ids)
		.orderBy('position')
		.execute();
	return rows.map(readingOf);
}

export function voidOf(row: Selectable<Tables['reading_void']>): VoidEntry {
	return {
		id: row.id,
		reading: row.reading_id,
		reason: row.reason,
		person: row.person_id,
		at: row.at.toISOString()
	};
}

export function decisionOf(row: Selectable<Tables['decision']>): Decision {
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
