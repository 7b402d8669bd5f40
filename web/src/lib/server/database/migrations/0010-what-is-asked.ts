import { sql, type Kysely } from 'kysely';
import { lengthOf } from '@zinc-ledger/core';

/**
 * What a shop asks about, derived from documents that stand elsewhere. Nothing here is
 * edited: `web/src/lib/server/asked` makes every row, and can make all of them again.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
	await sql`alter table part add column thickness double precision`.execute(db);
	const { rows } = await sql<{ id: string; thickness: string }>`
		select id, doc ->> 'thickness' as thickness from part where doc ? 'thickness'
	`.execute(db);
	for (const { id, thickness } of rows)
		await sql`update part set thickness = ${lengthOf(thickness)} where id = ${id}`.execute(db);
	await sql`create index part_thickness on part (thickness) where sort = 'shim'`.execute(db);
	for (const table of [
		`job_state (
			job_id uuid primary key references job on delete cascade,
			source text not null,
			stations integer not null,
			stops text[] not null,
			unclear integer not null
		)`,
		`job_stage (
			job_id uuid not null references job on delete cascade,
			position smallint not null,
			stage text not null,
			done boolean not null,
			blocks boolean not null,
			note jsonb,
			primary key (job_id, stage)
		)`,
		`part_need (
			job_id uuid not null references job on delete cascade,
			part text not null,
			kind text,
			thickness double precision,
			wanted integer not null,
			counted integer
		)`,
		`station_result (
			sheet_id uuid not null references signed_sheet on delete cascade,
			job_id uuid not null references job on delete cascade,
			revision integer not null,
			station text not null,
			kind text not null,
			figure text not null,
			value double precision,
			uncertainty double precision,
			state text not null,
			primary key (sheet_id, station, figure)
		)`,
		`spring_result (
			sweep_id uuid primary key references sweep on delete cascade,
			source text not null,
			spring_id uuid not null references spring on delete cascade,
			set_id uuid not null,
			job_id uuid,
			tag text not null,
			serial text,
			card_id uuid,
			card text,
			batch text,
			at timestamptz not null,
			visit integer not null,
			height double precision not null,
			seat_load double precision,
			open_load double precision,
			rate double precision,
			bind double precision,
			energy double precision
		)`
	])
		await sql`create table ${sql.raw(table)}`.execute(db);
	for (const index of [
		'part_need_job on part_need (job_id)',
		'station_result_job on station_result (job_id, station, figure)',
		'spring_result_card on spring_result (card_id, batch)',
		'spring_result_spring on spring_result (spring_id)'
	])
		await sql`create index ${sql.raw(index)}`.execute(db);
}
