import { sql, type Kysely } from 'kysely';

/** Names that are found while they are typed, mistakes forgiven, in a shop of many years. */
export async function up(db: Kysely<unknown>): Promise<void> {
	for (const table of ['customer', 'engine', 'spring_set'])
		await sql`
			create index ${sql.ref(`${table}_name_alike`)} on ${sql.table(table)} using gin (name gin_trgm_ops)
		`.execute(db);
	await sql`create index spring_tag on spring (lower(tag))`.execute(db);
	await sql`create index spring_serial on spring (lower(measured ->> 'serial'))`.execute(db);
}
