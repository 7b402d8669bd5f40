import { sql, type Kysely } from 'kysely';

/** Photos of what was seen at a visit, each of the mark it shows. */
export async function up(db: Kysely<unknown>): Promise<void> {
	await sql`alter table photo add column evidence text check (evidence is null or kit_id is null)`.execute(
		db
	);
}
