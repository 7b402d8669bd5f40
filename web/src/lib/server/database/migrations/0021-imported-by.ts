import { sql, type Kysely } from 'kysely';

/** Who brought a job in from a file, and when: its entries name whoever made them elsewhere. */
export async function up(db: Kysely<unknown>): Promise<void> {
	await sql`alter table job
		add column imported_by uuid references person,
		add column imported_at timestamptz`.execute(db);
}
