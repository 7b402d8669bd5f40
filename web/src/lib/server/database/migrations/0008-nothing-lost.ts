import { sql, type Kysely } from 'kysely';

/** Moves of stock by job, revisions of gauges and parts, initials taken once, and what is found by. */
export async function up(db: Kysely<unknown>): Promise<void> {
	await sql`alter table stock_move add column job_id uuid references job (id)`.execute(db);
	await sql`alter table stock_move alter column person_id drop not null`.execute(db);
	await sql`drop index if exists spring_set_by_created`.execute(db);
	await sql`create index spring_set_by_created on spring_set (created_at desc, id)`.execute(db);
	await sql`create index stock_move_by_job on stock_move (job_id) where job_id is not null`.execute(
		db
	);
	// From here on what lies on the shelf is the sum of its moves: what was there before is the first.
	await sql`
		insert into stock_move (id, part_id, change, reason, at)
		select gen_random_uuid(), part.id, part.stock - coalesce(moved.sum, 0), 'counted before moves were kept', part.created_at
		from part left join (select part_id, sum(change) as sum from stock_move group by part_id) moved
			on moved.part_id = part.id
		where part.stock is not null and part.stock <> coalesce(moved.sum, 0)
	`.execute(db);

	for (const table of ['gauge', 'part']) {
		await sql`alter table ${sql.table(table)} add column revision integer not null default 1`.execute(
			db
		);
	}

	// Two from other shops may have the same initials; two who were taken in here may not.
	await sql`alter table person add column taken_in_here boolean not null default false`.execute(db);
	await sql`create unique index person_initials on person (initials) where taken_in_here`.execute(
		db
	);

	await sql`create index customer_by_name on customer (name, contact)`.execute(db);
	await sql`create index engine_by_name on engine (customer_id, name)`.execute(db);
	await sql`create index engine_by_created on engine (created_at desc)`.execute(db);
	await sql`create index customer_by_created on customer (created_at desc)`.execute(db);
	await sql`create index signed_sheet_by_job on signed_sheet (job_id, revision desc)`.execute(db);
	await sql`
		create index job_by_plain_number on job (((number)::bigint)) where number ~ '^[0-9]{1,12}$'
	`.execute(db);
	await sql`drop index if exists job_by_taken_in`.execute(db);
	await sql`create index job_by_taken_in on job (taken_in desc, id desc)`.execute(db);
	await sql`create index reading_by_station on reading (job_id, station, position)`.execute(db);

	// The words that jobs are found by, each once: a slip is looked for among them.
	await sql`create table job_word (word text primary key)`.execute(db);
	await sql`create index job_word_alike on job_word using gin (word gin_trgm_ops)`.execute(db);
	await sql`
		create function keep_words() returns trigger language plpgsql as $$
		begin
			insert into job_word (word)
			select distinct word from regexp_split_to_table(lower(new.search), '[^[:alnum:]]+') as word
			where length(word) between 3 and 40 and word !~ '^[0-9]+$'
			order by word
			on conflict do nothing;
			return null;
		end $$
	`.execute(db);
	await sql`
		create trigger keep_words after insert or update of search on job
		for each row execute function keep_words()
	`.execute(db);
	await sql`
		insert into job_word (word)
		select distinct word from job, regexp_split_to_table(lower(search), '[^[:alnum:]]+') as word
		where length(word) between 3 and 40 and word !~ '^[0-9]+$'
		on conflict do nothing
	`.execute(db);
}
