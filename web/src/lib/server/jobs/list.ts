/** Lists of jobs as somebody asks for them: narrowed, ordered, a page at most. */
import { sql, type RawBuilder } from 'kysely';
import type { JobFilter, JobOrder, JobQuery } from '$lib/job/store/list';
import type { Database } from '../database/connection';
import { findJobIds } from './find';

/** So many that match a text are narrowed further. */
const MAX_MATCHING = 2000;

const stageIs = (stage: string, done: boolean) => sql`exists (
	select 1 from job_stage where job_stage.job_id = job.id and stage = ${stage} and done = ${done})`;

/** What is true of the jobs that a filter leaves. */
const KEPT: Readonly<Record<JobFilter, RawBuilder<unknown>>> = {
	all: sql`true`,
	open: stageIs('sign', false),
	// As in docs/asking.md: more is needed than is there, where somebody counts.
	waiting: sql`exists (
		select 1 from part_need need
		left join lateral (
			select sum(stock)::int as stock from part
			where type = 'shim' and need.part = 'shim' and not retired
				and thickness between need.thickness - 0.0001 and need.thickness + 0.0001
		) shelf on true
		where need.job_id = job.id
			and need.wanted > coalesce(shelf.stock, need.counted, need.wanted))`,
	'to-verify': sql`(${stageIs('assembly', true)} and ${stageIs('as-built', false)})`,
	'came-back': sql`exists (
		select 1 from job earlier
		where earlier.engine_id = job.engine_id and earlier.taken_in < job.taken_in)`,
	'signed-this-week': sql`exists (
		select 1 from signed_sheet
		where signed_sheet.job_id = job.id and signed_sheet.at > now() - interval '7 days')`
};

/** What a list is ordered by, and whether the greatest usually stands first. */
const BY: Readonly<Record<JobOrder, readonly [columns: readonly RawBuilder<unknown>[], boolean]>> =
	{
		received: [[sql`job.taken_in`], true],
		number: [[sql`length(job.number)`, sql`job.number`], true],
		customer: [[sql`customer.name`], false],
		engine: [[sql`engine.name`], false],
		due: [[sql`coalesce(job.setup #>> '{order,due}', '9999')`], false],
		stops: [[sql`coalesce(cardinality(job_state.stops), 0)`], true]
	};

/** The jobs of a list, in its order. */
export async function listJobIds(db: Database, query: JobQuery, limit: number): Promise<string[]> {
	const { find, filter, order, reversed } = query;
	const isPlain = filter === 'all' && order === 'received' && !reversed;
	if (isPlain) return findJobIds(db, find, limit);
	const matching = find.trim() === '' ? null : await findJobIds(db, find, MAX_MATCHING);
	if (matching?.length === 0) return [];
	const [columns, largestFirst] = BY[order];
	const direction = sql.raw(largestFirst === reversed ? 'asc' : 'desc');
	const { rows } = await sql<{ id: string }>`
		select job.id from job
		join customer on customer.id = job.customer_id
		join engine on engine.id = job.engine_id
		left join job_state on job_state.job_id = job.id
		where ${KEPT[filter]} ${matching ? sql`and job.id = any(${matching})` : sql``}
		order by ${sql.join(columns.map((column) => sql`${column} ${direction}`))}, job.taken_in desc, job.id desc
		limit ${limit}
	`.execute(db);
	return rows.map(({ id }) => id);
}
