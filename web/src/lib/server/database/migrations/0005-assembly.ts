import { sql, type Kysely } from 'kysely';

/** Assembly, checks and notes on a job, lash found or set, and signed sheets. */
export async function up(db: Kysely<unknown>): Promise<void> {
	await sql`alter table reading add column lash jsonb`.execute(db);
	await sql`
		update job set setup = jsonb_set(setup, '{limits}', '{
			"lashWatch": "0.003 in", "lashStop": "0.006 in", "preloadWithin": "0.010 in",
			"pistonFloors": {"intake": "0.080 in", "exhaust": "0.100 in"},
			"vacuum": {"least": "15 inHg", "seconds": 10}
		}'::jsonb || (setup -> 'limits'))
	`.execute(db);
	await sql`
		alter table job_entry
			drop constraint job_entry_list_check,
			add constraint job_entry_list_check check (list in (
				'inspections', 'headWork', 'acceptances', 'plans', 'assembly', 'checks', 'notes'
			))
	`.execute(db);
	await sql`
		create table signed_sheet (
			id uuid primary key,
			job_id uuid not null references job (id),
			revision integer not null,
			content text not null,
			sha256 text not null,
			person_id uuid not null references person (id),
			at timestamptz not null,
			unique (job_id, revision)
		)
	`.execute(db);
	await sql`
		create trigger append_only before update or delete on signed_sheet
		for each row execute function refuse_change()
	`.execute(db);
	await sql`
		create trigger tell_change after insert on signed_sheet
		for each row execute function tell_change()
	`.execute(db);
}
