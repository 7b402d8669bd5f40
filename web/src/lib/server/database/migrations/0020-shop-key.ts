import { sql, type Kysely } from 'kysely';

/** The key that a shop signs its sheets with. A plain backup carries the public half alone. */
export async function up(db: Kysely<unknown>): Promise<void> {
	await sql`create table shop_key (
		public_key text primary key,
		made_at timestamptz not null default now()
	)`.execute(db);
	await sql`create table shop_key_secret (
		public_key text primary key references shop_key,
		private_key text not null
	)`.execute(db);
}
