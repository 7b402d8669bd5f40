import { sql, type Kysely } from 'kysely';

/** Photos of what was seen at a visit, each of the mark it shows; and how jobs stand, worked out anew: fit is asked about once. */
export async function up(db: Kysely<unknown>): Promise<void> {
	await sql`alter table photo add column evidence text check (evidence is null or kit_id is null)`.execute(
		db
	);
	for (const table of ['job_stage', 'part_need', 'job_state'])
		await sql`delete from ${sql.table(table)}`.execute(db);
}
