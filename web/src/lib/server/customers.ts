/** Whose heads come in. */
import { isDeepStrictEqual } from 'node:util';
import type { Job, Layout } from '@zinc-ledger/core';
import type { Database } from './database/connection';

const MOST_SUGGESTED = 200;

/** Names to suggest when a job is taken in, newest customers first. */
export async function listCustomers(db: Database): Promise<string[]> {
	const rows = await db
		.selectFrom('customer')
		.select('name')
		.orderBy('created_at', 'desc')
		.limit(MOST_SUGGESTED)
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
}

/** Engines to suggest when a job is taken in, newest first. */
export const listEngines = (db: Database): Promise<KnownEngine[]> =>
	db
		.selectFrom('engine')
		.innerJoin('customer', 'customer.id', 'engine.customer_id')
		.select(['engine.id', 'engine.name', 'customer.name as customer'])
		.orderBy('engine.created_at', 'desc')
		.limit(MOST_SUGGESTED)
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
		.select(['engine.id', 'engine.name', 'customer.name as customer'])
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
