import { sql, type Kysely } from 'kysely';

/**
 * Who may sign in and as what, the browsers that are signed in, what is shared with
 * customers, attempts that are counted, and the trail of it all. People who were here
 * before have no sign-in until they are invited.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
	const role = `text not null check (role in ('reader', 'helper', 'machinist', 'owner'))`;
	for (const statement of [
		`create table sign_in (
			person_id uuid primary key references person,
			user_name text not null unique check (user_name = lower(user_name)),
			role ${role},
			password text not null,
			pin text,
			ended boolean not null default false
		)`,
		`create table invitation (
			key text primary key,
			person_id uuid references person,
			role ${role},
			made_by uuid references person,
			until timestamptz not null,
			used_at timestamptz
		)`,
		`create table session (
			key text primary key,
			opened_by uuid not null references person,
			at_bench boolean not null,
			person_id uuid references person,
			by_pin boolean not null default false,
			person_until timestamptz,
			used_at timestamptz not null default now()
		)`,
		`create index session_opened_by on session (opened_by)`,
		`create table audit (
			id uuid primary key,
			what text not null,
			person_id uuid references person,
			about jsonb not null default '{}',
			address text,
			at timestamptz not null default now(),
			position bigint generated always as identity
		)`,
		`create trigger append_only before update or delete on audit
			for each row execute function refuse_change()`,
		`create table share (
			id uuid primary key,
			key text not null unique,
			sheet_id uuid not null references signed_sheet,
			made_by uuid references person,
			made_at timestamptz not null default now(),
			until timestamptz not null,
			ended_at timestamptz,
			opened integer not null default 0,
			opened_at timestamptz
		)`,
		`create index share_sheet on share (sheet_id)`,
		`create table attempt (
			key varchar(255) primary key,
			points integer not null default 0,
			expire bigint
		)`
	])
		await sql.raw(statement).execute(db);
}
