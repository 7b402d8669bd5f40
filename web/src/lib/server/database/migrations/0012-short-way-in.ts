import { sql, type Kysely } from 'kysely';

/**
 * Kits, templates of engines, the shop's own limits with who changed them, and photos
 * of a kit's paper or of what came with a head beside those of valves; readings that were typed from a list say so.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
	for (const table of ['kit', 'template']) {
		await sql`
			create table ${sql.table(table)} (
				id uuid primary key,
				doc jsonb not null,
				search text generated always as (lower(doc::text)) stored,
				retired boolean not null default false,
				revision integer not null default 1,
				created_at timestamptz not null default now(),
				changed_at timestamptz not null default now(),
				changed_by uuid references person (id)
			)
		`.execute(db);
		await sql`
			create index ${sql.ref(`${table}_search`)} on ${sql.table(table)} using gin (search gin_trgm_ops)
		`.execute(db);
	}
	await sql`
		create table shop_limit (
			id uuid primary key,
			field text not null,
			"from" text,
			"to" text not null,
			person_id uuid not null references person (id),
			at timestamptz not null default now(),
			position bigint generated always as identity
		)
	`.execute(db);
	await sql`
		create trigger append_only before update or delete on shop_limit
		for each row execute function refuse_change()
	`.execute(db);
	await sql`
		alter table photo
			alter column station drop not null,
			alter column job_id drop not null,
			add column kit_id uuid references kit (id),
			add constraint photo_job foreign key (job_id) references job (id),
			add constraint photo_of_something check ((job_id is null) <> (kit_id is null))
	`.execute(db);
	await sql`alter table reading add column came_from text check (came_from in ('list'))`.execute(
		db
	);
	await sql`create index photo_by_kit on photo (kit_id) where kit_id is not null`.execute(db);
}
