import { sql, type Kysely } from 'kysely';

/** Gauges with their checks, sets of tagged springs, and their sweeps. */
export async function up(db: Kysely<unknown>): Promise<void> {
	await sql`
		create table gauge (
			id uuid primary key,
			doc jsonb not null,
			created_at timestamptz not null default now(),
			changed_by uuid references person (id)
		)
	`.execute(db);
	await sql`
		create table gauge_check (
			id uuid primary key,
			gauge_id uuid not null references gauge (id),
			doc jsonb not null,
			person_id uuid not null references person (id),
			at timestamptz not null
		)
	`.execute(db);
	await sql`create index gauge_check_by_gauge on gauge_check (gauge_id, at)`.execute(db);
	await sql`
		create table spring_set (
			id uuid primary key,
			name text not null,
			card_id uuid references part (id),
			job_id uuid references job (id),
			seat text not null,
			lift text not null,
			created_at timestamptz not null default now(),
			created_by uuid not null references person (id)
		)
	`.execute(db);
	await sql`create index spring_set_by_created on spring_set (created_at)`.execute(db);
	await sql`create index spring_set_by_job on spring_set (job_id)`.execute(db);
	await sql`
		create table spring (
			id uuid primary key,
			set_id uuid not null references spring_set (id),
			position integer not null,
			tag text not null,
			measured jsonb not null default '{}',
			unique (set_id, tag)
		)
	`.execute(db);
	await sql`
		create table sweep (
			id uuid primary key,
			spring_id uuid not null references spring (id),
			doc jsonb not null,
			person_id uuid not null references person (id),
			at timestamptz not null,
			position bigint generated always as identity
		)
	`.execute(db);
	await sql`create index sweep_by_spring on sweep (spring_id, position)`.execute(db);
	for (const table of ['gauge_check', 'sweep']) {
		await sql`
			create trigger append_only before update or delete on ${sql.table(table)}
			for each row execute function refuse_change()
		`.execute(db);
	}
}
