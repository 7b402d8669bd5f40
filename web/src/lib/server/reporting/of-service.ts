/** What every part has run, as rows: told at the visits of its head, added up over all of them. */
import { sql } from 'kysely';
import { lifeUsed, servedParts, serviceTold, type Job, type ServiceLimit } from '@zinc-ledger/core';
import { checkJob } from '@zinc-ledger/core/file';
import type { Database } from '../database/connection';
import type { Tables } from '../database/schema';
import { inTransaction } from '../database/transaction';
import { readSigned } from '@zinc-ledger/core/signed';

type Run = Tables['service_run'];

/** Makes the rows of what ran before a visit, and of everything in it. */
export async function deriveService(db: Database, job: Job): Promise<void> {
	if (!job.visitOf) return;
	await inTransaction(db, async (trx) => {
		const before = await trx
			.selectFrom('service_run')
			.selectAll()
			.where('job_id', '=', job.id)
			.execute();
		const runs = await runsOf(trx, job);
		if (isSame(before, runs)) return;
		await trx.deleteFrom('service_run').where('job_id', '=', job.id).execute();
		if (runs.length > 0) await trx.insertInto('service_run').values(runs).execute();
		await addUp(
			trx,
			[...before, ...runs].map(({ item }) => item)
		);
		const springs = [...before, ...runs].flatMap(({ spring_id }) => spring_id ?? []);
		await serviceWhenTested(trx, springs);
	});
}

/** Whether rows say the same, whatever their order and that of their columns. */
function isSame(some: readonly Run[], others: readonly Run[]): boolean {
	const plain = (rows: readonly Run[]) =>
		rows
			.map((row) => JSON.stringify(Object.entries(row).toSorted(([a], [b]) => a.localeCompare(b))))
			.toSorted()
			.join();
	return plain(some) === plain(others);
}

/** What ran between the sheet that a visit starts from and the visit; nothing where nobody told it. */
async function runsOf(trx: Database, job: Job): Promise<Run[]> {
	const since = job.since.at(-1);
	if (!since || !job.visitOf) return [];
	const sheet = await trx
		.selectFrom('signed_sheet')
		.select(['content', 'job_id'])
		.where('id', '=', job.visitOf.sheet)
		.executeTakeFirst();
	const read = sheet && checkJob(readSigned(sheet.content).job);
	if (!sheet || !read?.ok) return [];
	const heads = new Map(
		(
			await trx
				.selectFrom('head')
				.select(['id', 'cylinder_head_id'])
				.where('job_id', '=', job.id)
				.execute()
		).map(({ id, cylinder_head_id }) => [id, cylinder_head_id])
	);
	const parts = servedParts(read.value).filter(({ head }) => heads.has(head));
	const springs = await taggedOn(trx, [...heads.values()]);
	const carried = await itemsOf(trx, sheet.job_id);
	const { overSpeed, ...ran } = serviceTold(since);
	return parts.map((part): Run => {
		const { station, card, name, tag } = part;
		const spring = tag ? (springs.get(`${tag.set}\n${tag.tag}`) ?? null) : null;
		const place = `${station}/${part.part}`;
		const carriedAs = part.isCarried ? carried.get(place) : undefined;
		return {
			job_id: job.id,
			item: spring ?? carriedAs ?? `${sheet.job_id}/${place}`,
			part: part.part,
			spring_id: spring,
			part_id: card,
			name,
			cylinder_head_id: heads.get(part.head)!,
			station,
			duty: read.value.setup.use.duty,
			until: new Date(job.takenIn),
			...ran,
			over_speed: overSpeed
		};
	});
}

/** Springs of the sets that some heads came with at any visit, by the set's name and their tag. */
async function taggedOn(trx: Database, heads: readonly string[]): Promise<Map<string, string>> {
	const rows = await trx
		.selectFrom('spring')
		.innerJoin('spring_set', 'spring_set.id', 'spring.set_id')
		.select(['spring.id', 'tag', 'spring_set.name'])
		.where('spring_set.job_id', 'in', (visits) =>
			visits.selectFrom('head').select('job_id').where('cylinder_head_id', 'in', heads)
		)
		.execute();
	return new Map(rows.map(({ id, tag, name }) => [`${name}\n${tag}`, id]));
}

/** What the parts at the stations of a job were counted as when it came in. */
async function itemsOf(trx: Database, jobId: string): Promise<Map<string, string>> {
	const rows = await trx
		.selectFrom('service_run')
		.select(['item', 'station', 'part'])
		.where('job_id', '=', jobId)
		.execute();
	return new Map(rows.map(({ item, station, part }) => [`${station}/${part}`, item]));
}

const TOTALS = ['hours', 'runs', 'kilometres', 'cycles', 'over_speed'] as const;

/**
 * Adds up all that some parts have run, where they stand now, and what part of their life that is.
 * A head that was taken in twice after one sheet, because the first visit was never signed, ran once:
 * the last of those visits tells how long.
 */
async function addUp(trx: Database, items: readonly string[]): Promise<void> {
	if (items.length === 0) return;
	await trx.deleteFrom('service_item').where('item', 'in', items).execute();
	await sql`
		insert into service_item
			(item, part, spring_id, part_id, name, cylinder_head_id, station, duty, ${sql.raw(TOTALS.join(', '))})
		select last.item, last.part, last.spring_id, last.part_id, last.name, last.cylinder_head_id,
			last.station, last.duty, total.hours, total.runs, total.kilometres, total.cycles, total.over_speed
		from (
			select item, ${sql.raw(TOTALS.map((one) => `coalesce(sum(${one}), 0) as ${one}`).join(', '))}
			from (
				select distinct on (run.item, job.visit_of ->> 'sheet') run.*
				from service_run run
				join job on job.id = run.job_id
				where run.item = any(${sql.val([...items])})
				order by run.item, job.visit_of ->> 'sheet', run.until desc, run.job_id desc
			) counted group by item
		) total
		join lateral (
			select * from service_run where item = total.item order by until desc limit 1
		) last on true
	`.execute(trx);
	await useUp(trx, items);
}

/** The limit of a part for a duty: the newest of its own, else the newest for every duty. */
export interface LimitRow extends ServiceLimit {
	readonly part: string;
	readonly duty: string | null;
}

/** The limits in force of some parts. */
export async function limitsOf(db: Database, parts: readonly string[]): Promise<LimitRow[]> {
	if (parts.length === 0) return [];
	const rows = await db
		.selectFrom('service_limit')
		.distinctOn(['part_id', 'duty'])
		.selectAll()
		.where('part_id', 'in', parts)
		.orderBy('part_id')
		.orderBy('duty')
		.orderBy('position', 'desc')
		.execute();
	const orUndefined = (value: number | null) => value ?? undefined;
	return rows.map((row) => ({
		part: row.part_id,
		duty: row.duty,
		hours: orUndefined(row.hours),
		runs: orUndefined(row.runs),
		kilometres: orUndefined(row.kilometres),
		cycles: orUndefined(row.cycles),
		overSpeed: orUndefined(row.over_speed)
	}));
}

export const limitFor = (limits: readonly LimitRow[], part: string | null, duty: string) =>
	limits.find((one) => one.part === part && one.duty === duty) ??
	limits.find((one) => one.part === part && one.duty === null);

/** What part of their life some parts have run, by the limits of now. */
async function useUp(trx: Database, items: readonly string[]): Promise<void> {
	const rows = await trx
		.selectFrom('service_item')
		.selectAll()
		.where('item', 'in', items)
		.execute();
	const limits = await limitsOf(trx, [...new Set(rows.flatMap(({ part_id }) => part_id ?? []))]);
	const used = rows.map(({ part_id, duty, over_speed, ...ran }) => {
		const limit = limitFor(limits, part_id, duty);
		return limit ? lifeUsed({ ...ran, overSpeed: over_speed }, limit) : null;
	});
	await sql`
		update service_item set used = one.used
		from unnest(
			${sql.val(rows.map(({ item }) => item))}::text[],
			${sql.val(used)}::double precision[]
		) as one (item, used)
		where service_item.item = one.item
	`.execute(trx);
}

/** Counts anew what parts of a type have used of their life, as after a change of its limits. */
export async function useUpAll(db: Database, partId: string): Promise<void> {
	const rows = await db
		.selectFrom('service_item')
		.select('item')
		.where('part_id', '=', partId)
		.execute();
	if (rows.length > 0)
		await useUp(
			db,
			rows.map(({ item }) => item)
		);
}

/** Keeps with every sweep of some springs what they had run by then. */
export async function serviceWhenTested(db: Database, springs: readonly string[]): Promise<void> {
	if (springs.length === 0) return;
	await sql`
		update spring_result result
		set hours = ran.hours, runs = ran.runs, kilometres = ran.kilometres
		from (
			select sweep.sweep_id, coalesce(sum(run.hours), 0) as hours,
				coalesce(sum(run.runs), 0)::int as runs, coalesce(sum(run.kilometres), 0) as kilometres
			from spring_result sweep
			left join lateral (
				select distinct on (job.visit_of ->> 'sheet') run.*
				from service_run run
				join job on job.id = run.job_id
				where run.spring_id = sweep.spring_id and run.until <= sweep.at
				order by job.visit_of ->> 'sheet', run.until desc, run.job_id desc
			) run on true
			where sweep.spring_id = any(${sql.val([...springs])}::uuid[])
			group by sweep.sweep_id
		) ran
		where ran.sweep_id = result.sweep_id
	`.execute(db);
}
