import { sql, type Kysely } from 'kysely';

/**
 * Heads as things of their own, wherever they are fitted; jobs that are their visits; what
 * happened between two of them, and the service of springs, rockers, lifters and valves.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
	for (const statement of [
		`create table cylinder_head (
			id uuid primary key default gen_random_uuid(),
			engine_id uuid references engine,
			place text not null,
			mark text,
			created_at timestamptz not null default now(),
			unique (engine_id, place)
		)`,
		`alter table head
			add column cylinder_head_id uuid references cylinder_head,
			add column stated boolean not null default false`,
		`insert into cylinder_head (engine_id, place)
			select distinct job.engine_id, head.id from head join job on job.id = head.job_id`,
		`update head set cylinder_head_id = one.id
			from cylinder_head one, job
			where job.id = head.job_id and one.engine_id = job.engine_id and one.place = head.id`,
		`alter table head alter column cylinder_head_id set not null`,
		`create index head_visits on head (cylinder_head_id)`,
		`alter table job add column visit_of jsonb`,
		`alter table job_entry drop constraint job_entry_list_check`,
		`alter table job_entry add constraint job_entry_list_check check (list in (
			'inspections', 'headWork', 'acceptances', 'plans', 'assembly', 'checks', 'notes', 'asFound',
			'motions', 'since', 'looks', 'trials'
		))`,
		`create table service_limit (
			id uuid primary key,
			part_id uuid not null references part,
			duty text,
			hours double precision,
			runs integer,
			kilometres double precision,
			cycles double precision,
			over_speed double precision,
			person_id uuid not null references person,
			at timestamptz not null default now(),
			position bigint generated always as identity
		)`,
		`create index service_limit_part on service_limit (part_id, position)`,
		`create trigger append_only before update or delete on service_limit
			for each row execute function refuse_change()`,
		`create table service_run (
			job_id uuid not null references job on delete cascade,
			item text not null,
			part text not null,
			spring_id uuid references spring,
			part_id uuid,
			name text,
			cylinder_head_id uuid not null references cylinder_head,
			station text not null,
			duty text not null,
			until timestamptz not null,
			hours double precision,
			runs integer,
			kilometres double precision,
			cycles double precision,
			over_speed integer,
			primary key (job_id, item)
		)`,
		`create index service_run_item on service_run (item)`,
		`create index service_run_spring on service_run (spring_id)`,
		`create table service_item (
			item text primary key,
			part text not null,
			spring_id uuid references spring,
			part_id uuid,
			name text,
			cylinder_head_id uuid not null references cylinder_head,
			station text not null,
			duty text not null,
			hours double precision not null,
			runs integer not null,
			kilometres double precision not null,
			cycles double precision not null,
			over_speed integer not null,
			used double precision
		)`,
		`create index service_item_used on service_item (used desc) where used is not null`,
		`create index service_item_head on service_item (cylinder_head_id)`,
		`create index service_item_part on service_item (part_id)`,
		`alter table spring_result
			add column hours double precision not null default 0,
			add column runs integer not null default 0,
			add column kilometres double precision not null default 0`,
		`create index spring_result_set on spring_result (set_id)`
	])
		await sql.raw(statement).execute(db);
}
