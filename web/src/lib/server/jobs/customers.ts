/** Whose heads come in. */
import { isDeepStrictEqual } from 'node:util';
import type { Job, Layout } from '@zinc-ledger/core';
import type { Database } from '../database/connection';

const MAX_SUGGESTED = 200;

/** Names to suggest when a job is taken in, newest customers first. */
export async function listCustomers(db: Database): Promise<string[]> {
	const rows = await db
		.selectFrom('customer')
		.select('name')
		.orderBy('created_at', 'desc')
		.limit(MAX_SUGGESTED)
		.execute();
	return [...new Set(rows.map((row) => row.name))];
}

/** The customer of this name; with a contact given, the one who has it. */
export async function findCustomer(
	db: Database,
	name: string,
	contact: string
): Promise<Job['customer'] | undefined> {
	const row = await db
		.selectFrom('customer')
		.select(['id', 'name', 'contact'])
		.where('name', '=', name)
		.$if(contact !== '', (query) => query.where('contact', '=', contact))
		.executeTakeFirst();
	return row && { id: row.id, name: row.name, ...(row.contact && { contact: row.contact }) };
}

export interface KnownEngine {
	readonly id: string;
	readonly name: string;
	readonly customer: string;
	readonly layout: Layout;
}

/** Engines to suggest when a job is taken in, newest first. */
export const listEngines = (db: Database): Promise<KnownEngine[]> =>
	db
		.selectFrom('engine')
		.innerJoin('customer', 'customer.id', 'engine.customer_id')
		.select(['engine.id', 'engine.name', 'engine.layout', 'customer.name as customer'])
		.orderBy('engine.created_at', 'desc')
		.limit(MAX_SUGGESTED)
		.execute();

/** This customer's engine of this name and layout: the same one, come back. */
export async function findEngine(
	db: Database,
	customerId: string,
	name: string,
	layout: Layout
): Promise<Job['engine'] | undefined> {
	const rows = await db
		.selectFrom('engine')
		.select(['id', 'name', 'layout'])
		.where('customer_id', '=', customerId)
		.where('name', '=', name)
		.execute();
	const plain = (one: Layout) => JSON.parse(JSON.stringify(one)) as unknown;
	return rows.find((row) => isDeepStrictEqual(plain(row.layout), plain(layout)));
}

/** An engine with whose it is; undefined when there is none. */
export const findEngineById = (db: Database, id: string) =>
	db
		.selectFrom('engine')
		.innerJoin('customer', 'customer.id', 'engine.customer_id')
		.select(['engine.id', 'engine.name', 'engine.layout', 'customer.name as customer'])
		.where('engine.id', '=', id)
		.executeTakeFirst();

/** The jobs of an engine, newest first. */
export async function jobsOfEngine(db: Database, engineId: string): Promise<string[]> {
	const rows = await db
		.selectFrom('job')
		.select('id')
		.where('engine_id', '=', engineId)
		.orderBy('taken_in', 'desc')
		.execute();
	return rows.map((row) => row.id);
}

/** What was signed last of an engine, over all its jobs; null before anything was. */
export async function lastSigned(db: Database, engineId: string) {
	const sheet = await db
		.selectFrom('signed_sheet')
		.innerJoin('job', 'job.id', 'signed_sheet.job_id')
		.innerJoin('person', 'person.id', 'signed_sheet.person_id')
		.select(['signed_sheet.id', 'signed_sheet.revision', 'signed_sheet.at'])
		.select(['job.id as job', 'job.number', 'person.name as person'])
		.where('job.engine_id', '=', engineId)
		.orderBy('signed_sheet.at', 'desc')
		.orderBy('signed_sheet.revision', 'desc')
		.limit(1)
		.executeTakeFirst();
	if (!sheet) return null;
	const figures = await db
		.selectFrom('station_result')
		.leftJoin('station', (join) =>
			join
				.onRef('station.job_id', '=', 'station_result.job_id')
				.onRef('station.label', '=', 'station_result.station')
		)
		.select(['station_result.station', 'figure', 'value', 'state'])
		.where('sheet_id', '=', sheet.id)
		.orderBy('station.position')
		.execute();
	const { id: _, at, ...rest } = sheet;
	return { ...rest, at: at.toISOString(), figures };
}
