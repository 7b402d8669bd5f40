import { sql, type Kysely } from 'kysely';

/** A second factor beside the password, for whoever wants one, and the last code of it that was used. */
export async function up(db: Kysely<unknown>): Promise<void> {
	await sql`alter table sign_in
		add column second_factor text,
		add column second_factor_used integer not null default 0`.execute(db);
}
