import { sql, type Kysely } from 'kysely';

/** Repeats of one figure, a floor for the rocker, accepted plans, and word to every bench of what changed on a job. */
export async function up(db: Kysely<unknown>): Promise<void> {
	await sql`alter table reading add column set_id uuid`.execute(db);
	await sql`
		update job set setup = jsonb_set(setup, '{limits,rockerFloor}', '"0.76 mm"')
		where not setup -> 'limits' ? 'rockerFloor'
	`.execute(db);
	await sql`
		alter table job_entry
			drop constraint job_entry_list_check,
			add constraint job_entry_list_check
				check (list in ('inspections', 'headWork', 'acceptances', 'plans'))
	`.execute(db);
	await sql`
		create function tell_change() returns trigger language plpgsql as $$
		begin
			perform pg_notify('job_change', json_build_object(
				'job', coalesce(to_jsonb(new) ->> 'job_id', to_jsonb(new) ->> 'id'),
				'reading', case when tg_table_name = 'reading' then to_jsonb(new) ->> 'id' end
			)::text);
			return null;
		end $$
	`.execute(db);
	for (const table of ['reading', 'reading_void', 'job_entry', 'decision', 'station']) {
		await sql`
			create trigger tell_change after insert or update on ${sql.table(table)}
			for each row execute function tell_change()
		`.execute(db);
	}
	await sql`
		create trigger tell_change after update on job
		for each row execute function tell_change()
	`.execute(db);
}
