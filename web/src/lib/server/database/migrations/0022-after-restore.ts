import { sql, type Kysely } from 'kysely';

/** What a restore changes, so that browsers notice, and what they then bring that has no place. */
export async function up(db: Kysely<unknown>): Promise<void> {
	await sql`alter table shop add column epoch uuid not null default gen_random_uuid()`.execute(db);
	await sql`create table stray (
		id uuid primary key,
		"of" text not null check ("of" in ('reading', 'sweep')),
		owner uuid not null,
		entry jsonb not null,
		person uuid,
		arrived timestamptz not null default now()
	)`.execute(db);
}
