import { sql, type Kysely } from 'kysely';

/** Readings told by phone, beside those typed from a list. */
export async function up(db: Kysely<unknown>): Promise<void> {
	await sql`alter table reading drop constraint reading_came_from_check`.execute(db);
	await sql`
		alter table reading add constraint reading_came_from_check
			check (came_from in ('list', 'phone'))
	`.execute(db);
}
