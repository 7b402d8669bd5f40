import { sql, type Kysely } from 'kysely';

/** What closed cases proved to be, as one more list that only grows. */
export async function up(db: Kysely<unknown>): Promise<void> {
	await sql`alter table job_entry drop constraint job_entry_list_check`.execute(db);
	await sql`
		alter table job_entry add constraint job_entry_list_check check (list in (
			'inspections', 'headWork', 'acceptances', 'plans', 'assembly', 'checks', 'notes', 'asFound',
			'motions', 'since', 'looks', 'trials', 'outcomes'
		))
	`.execute(db);
}
