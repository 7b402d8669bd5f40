import { sql, type Kysely } from 'kysely';

/** The parts library with its stock, what was seen on valves and done to heads, photos, and a search that forgives slips. */
export async function up(db: Kysely<unknown>): Promise<void> {
	await sql`create extension if not exists pg_trgm`.execute(db);

	await sql`
		create table part (
			id uuid primary key,
			sort text not null,
			doc jsonb not null,
			stock integer check (stock >= 0),
			retired boolean not null default false,
			search text generated always as (lower(doc::text)) stored,
			created_at timestamptz not null default now(),
			changed_at timestamptz not null default now(),
			changed_by uuid references person (id)
		)
	`.execute(db);
	await sql`create index part_by_sort on part (sort, (doc ->> 'name'))`.execute(db);
	await sql`create index part_search on part using gin (search gin_trgm_ops)`.execute(db);
	await sql`insert into part (id, sort, doc, created_at) select id, 'spring', card, created_at from spring_card`.execute(
		db
	);
	await sql`drop table spring_card`.execute(db);

	await sql`
		create table stock_move (
			id uuid primary key,
			part_id uuid not null references part (id),
			change integer not null,
			reason text not null,
			person_id uuid not null references person (id),
			at timestamptz not null
		)
	`.execute(db);
	await sql`create index stock_move_by_part on stock_move (part_id, at)`.execute(db);

	await sql`
		create table job_entry (
			id uuid primary key,
			job_id uuid not null references job (id),
			list text not null check (list in ('inspections', 'headWork', 'acceptances')),
			entry jsonb not null,
			person_id uuid not null references person (id),
			position bigint generated always as identity
		)
	`.execute(db);
	await sql`create index job_entry_by_job on job_entry (job_id, position)`.execute(db);

	await sql`
		create table photo (
			id uuid primary key,
			job_id uuid not null,
			station text not null,
			width integer not null,
			height integer not null,
			content bytea not null,
			thumbnail bytea not null,
			person_id uuid not null references person (id),
			at timestamptz not null default now(),
			foreign key (job_id, station) references station (job_id, label)
		)
	`.execute(db);
	await sql`create index photo_by_job on photo (job_id, at)`.execute(db);

	for (const table of ['stock_move', 'job_entry', 'photo']) {
		await sql`
			create trigger append_only before update or delete on ${sql.table(table)}
			for each row execute function refuse_change()
		`.execute(db);
	}

	// What a job is found by, in one place that an index of trigrams can search.
	await sql`alter table job add column search text not null default ''`.execute(db);
	await sql`
		update job set search = concat_ws(' ', job.number, customer.name, customer.contact, engine.name,
			job.setup #>> '{use,duty}', job.setup #>> '{use,workDone}', job.setup ->> 'toldByCustomer')
		from customer, engine where customer.id = job.customer_id and engine.id = job.engine_id
	`.execute(db);
	await sql`create index job_search on job using gin (search gin_trgm_ops)`.execute(db);

	// Limits of fit are new; jobs from before them start with the usual ones.
	await sql`
		update job set setup = jsonb_set(setup, '{limits,fit}', ${JSON.stringify({
			stemMatch: '0.10 mm',
			sealPlay: '1.00 mm',
			damperPlay: '2.50 mm',
			landingPlay: '1.00 mm',
			railTip: '2.00 mm',
			highLoad: '1800 N',
			singleLoad: '1300 N',
			singleSpeed: 7500
		})}::jsonb) where setup #> '{limits,fit}' is null
	`.execute(db);
}
