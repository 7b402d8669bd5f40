/** What parts may run, and what they have run: limits, what is due, trends and batches. */
import { sql } from 'kysely';
import { v7 as uuid } from 'uuid';
import type { Person, ServiceLimit } from '@zinc-ledger/core';
import { useUpAll } from '../reporting/of-service';
import type { Database } from '../database/connection';
import { inTransaction } from '../database/transaction';

/** Says what a part may run, for one duty or for all that have none of their own. */
export async function keepLimit(
	db: Database,
	{ part, duty, ...limit }: ServiceLimit & { readonly part: string; readonly duty: string | null },
	person: Person
): Promise<void> {
	await inTransaction(db, async (trx) => {
		await trx
			.insertInto('service_limit')
			.values({
				id: uuid(),
				part_id: part,
				duty,
				hours: limit.hours ?? null,
				runs: limit.runs ?? null,
				kilometres: limit.kilometres ?? null,
				cycles: limit.cycles ?? null,
				over_speed: limit.overSpeed ?? null,
				person_id: person.id
			})
			.execute();
		await useUpAll(trx, part);
	});
}

/** What is looked at for a page of what is due: parts that have used most, and rows of them. */
const A_PAGE = { parts: 2000, rows: 400 } as const;

/**
 * Heads of which parts have used this part of their life, or more, the most used first: one row a
 * head and type of part, of so many parts that have used most. Names are looked up for those rows
 * alone.
 */
export const dueHeads = (
	db: Database,
	from: number,
	{ parts, rows }: { readonly parts: number; readonly rows: number } = A_PAGE
) =>
	db
		.selectFrom((select) =>
			select
				.selectFrom((inner) =>
					inner
						.selectFrom('service_item')
						.selectAll()
						.where('used', '>=', from)
						.orderBy('used', 'desc')
						.limit(parts)
						.as('item')
				)
				.where('cylinder_head_id', 'is not', null)
				.select(['cylinder_head_id', 'part', 'name'])
				.select((one) => [
					one.fn.max('item.used').as('used'),
					one.fn.max('item.hours').as('hours'),
					one.fn.max('item.runs').as('runs'),
					one.fn.max('item.kilometres').as('kilometres'),
					one.fn.max('item.over_speed').as('over_speed'),
					sql<number>`count(*)::int`.as('count')
				])
				.groupBy(['cylinder_head_id', 'part', 'name'])
				.orderBy('used', 'desc')
				.limit(rows)
				.as('due')
		)
		// One by one: for a page of rows no table is read from end to end.
		.innerJoinLateral(
			(select) =>
				select
					.selectFrom('cylinder_head')
					.leftJoin('engine', 'engine.id', 'cylinder_head.engine_id')
					.leftJoin('customer', 'customer.id', 'engine.customer_id')
					.whereRef('cylinder_head.id', '=', 'due.cylinder_head_id')
					.select(['cylinder_head.id as head', 'cylinder_head.mark', 'cylinder_head.place'])
					.select(['engine.id as engineId', 'engine.name as engine', 'customer.name as customer'])
					.limit(1)
					.as('at'),
			(join) => join.onTrue()
		)
		.select(['at.head', 'at.mark', 'at.place', 'at.engineId', 'at.engine', 'at.customer'])
		.select(['due.part', 'due.name', 'due.used', 'due.hours', 'due.runs'])
		.select(['due.kilometres', 'due.over_speed', 'due.count'])
		.orderBy('used', 'desc')
		.execute();

/** The mean load of a set at its nominal height by visit, with what it had run and how far its springs lie apart. */
export const visitsOfSet = (db: Database, setId: string) =>
	db
		.selectFrom('spring_result')
		.select(['visit', 'height'])
		.select((select) => [
			sql<number>`count(*)::int`.as('springs'),
			select.fn.avg<number>('seat_load').as('load'),
			select.fn.min<number>('seat_load').as('weakest'),
			sql<number>`coalesce(stddev_samp(seat_load), 0)`.as('spread'),
			select.fn.avg<number>('hours').as('hours'),
			sql<number>`avg(runs)::double precision`.as('runs'),
			select.fn.avg<number>('kilometres').as('kilometres')
		])
		.where('set_id', '=', setId)
		.where('seat_load', 'is not', null)
		.groupBy(['visit', 'height'])
		.orderBy('visit')
		.execute();

export interface BatchLoss {
	readonly batch: string | null;
	readonly sets: number;
	readonly springs: number;
	/** Mean part of its first load that a spring has lost, and the standard deviation between sets; null for one. */
	readonly lost: number;
	readonly spread: number | null;
	readonly hours: number;
	readonly runs: number;
	readonly kilometres: number;
}

/** What the batches of a card have lost of their first load: by set, so that sixteen springs of one head do not count as sixteen heads. */
export async function lossByBatch(db: Database, cardId: string): Promise<BatchLoss[]> {
	const { rows } = await sql<BatchLoss>`
		select batch, count(*)::int as sets, sum(springs)::int as springs, avg(lost) as lost,
			stddev_samp(lost) as spread, avg(hours) as hours,
			avg(runs)::double precision as runs, avg(kilometres) as kilometres
		from (
			select batch, set_id, count(*) as springs, avg(1 - last / first) as lost,
				avg(hours) as hours, avg(runs) as runs, avg(kilometres) as kilometres
			from (
				select distinct on (spring_id) batch, set_id, hours, runs, kilometres, seat_load as last,
					first_value(seat_load) over (partition by spring_id order by visit, at) as first
				from spring_result
				where card_id = ${cardId} and seat_load is not null
				order by spring_id, visit desc, at desc
			) by_spring
			where hours > 0 or runs > 0 or kilometres > 0
			group by batch, set_id
		) by_set
		group by batch
		order by lost desc
	`.execute(db);
	return rows;
}

/** What the parts of a head have run, in the order of its stations. */
export const serviceOfHead = (db: Database, head: string) =>
	db
		.selectFrom('service_item')
		.select(['part', 'name', 'station', 'hours', 'runs', 'kilometres', 'over_speed', 'used'])
		.where('cylinder_head_id', '=', head)
		.orderBy('part')
		.orderBy('station')
		.execute();

/** By valve of a job, the part of its life that the spring there has run; those without a limit are left out. */
export const springLife = (db: Database, jobId: string) =>
	db
		.selectFrom('service_run')
		.innerJoin('service_item', 'service_item.item', 'service_run.item')
		.select(['service_run.station', 'used'])
		.where('service_run.job_id', '=', jobId)
		.where('service_run.part', '=', 'spring')
		.where('used', 'is not', null)
		.execute();
