/** Whose heads come in. */
import type { Job } from '@zinc-ledger/core';
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
