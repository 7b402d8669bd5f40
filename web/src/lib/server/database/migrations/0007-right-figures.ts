import { sql, type Kysely } from 'kysely';

/** When a reading arrived and by whose clock, how gauges repeat, and sets with limits of their own. */
export async function up(db: Kysely<unknown>): Promise<void> {
	await sql`alter table reading add column clock jsonb`.execute(db);
	await sql`
		create index reading_repeats_by_gauge on reading ((gauge ->> 'id'), position)
		where set_id is not null
	`.execute(db);
	await sql`create index reading_void_by_reading on reading_void (reading_id)`.execute(db);
	await sql`alter table spring_set add column limits jsonb`.execute(db);
}
