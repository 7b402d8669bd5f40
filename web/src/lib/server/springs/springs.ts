/** Sets of tagged springs, and their sweeps. */
import { v7 as uuid } from 'uuid';
import {
	USUAL_SET_LIMITS,
	type Person,
	type SetLimits,
	type SpringBuild,
	type SpringCard,
	type Sweep
} from '@zinc-ledger/core';
import { deriveSpring } from '../reporting/of-spring';
import { loggingFailures } from '../reporting/logging-failures';
import type { Database } from '../database/connection';
import { once } from '../jobs/once';
import type { SpringMeasured } from '../database/schema';

const json = (value: unknown) => JSON.stringify(value);

export interface SpringSet {
	readonly id: string;
	readonly name: string;
	readonly card: SpringCard | null;
	/** By its card, else as somebody said; undefined where nobody knows. */
	readonly build: SpringBuild | undefined;
	readonly jobId: string | null;
	readonly jobNumber: string | null;
	/** Nominal height and lift, as length texts. */
	readonly seat: string;
	readonly lift: string;
	readonly limits: SetLimits;
}

export interface TaggedSpring {
	readonly id: string;
	readonly tag: string;
	readonly measured: SpringMeasured;
	/** Sweeps, newest first. */
	readonly sweeps: readonly Sweep[];
}

const setQuery = (db: Database) =>
	db
		.selectFrom('spring_set')
		.leftJoin('part', 'part.id', 'spring_set.card_id')
		.leftJoin('job', 'job.id', 'spring_set.job_id')
		.select([
			'spring_set.id',
			'spring_set.name',
			'spring_set.seat',
			'spring_set.lift',
			'spring_set.limits',
			'spring_set.build',
			'spring_set.job_id as jobId',
			'job.number as jobNumber',
			'part.doc as card'
		]);
type SetRow = Awaited<ReturnType<ReturnType<typeof setQuery>['executeTakeFirstOrThrow']>>;
const setOf = (row: SetRow): SpringSet => ({
	...row,
	card: row.card as SpringCard | null,
	build: (row.card as SpringCard | null)?.build ?? row.build ?? undefined,
	limits: { ...USUAL_SET_LIMITS, ...row.limits }
});

/** Sets on one page of the list. */
const PAGE = 50;

/** One page of the sets, newest first, with how many springs of each are tested, and whether there are more. */
export async function listSets(
	db: Database,
	page = 0
): Promise<{ sets: (SpringSet & { springs: number; tested: number })[]; more: boolean }> {
	// The page's ids first, by the index alone: what is passed over is not looked up.
	const found = await db
		.selectFrom('spring_set')
		.select('id')
		.orderBy('created_at', 'desc')
		.orderBy('id')
		.limit(PAGE + 1)
		.offset(page * PAGE)
		.execute();
	const ids = found.slice(0, PAGE).map(({ id }) => id);
	const rows = await setQuery(db)
		.where('spring_set.id', 'in', ids.length > 0 ? ids : [NOBODY])
		.orderBy('spring_set.created_at', 'desc')
		.orderBy('spring_set.id')
		.execute();
	const counts = await db
		.selectFrom('spring')
		.leftJoin('sweep', 'sweep.spring_id', 'spring.id')
		.select(['spring.set_id'])
		.select((select) => [
			select.fn.count<string>('spring.id').distinct().as('springs'),
			select.fn.count<string>('sweep.spring_id').distinct().as('tested')
		])
		.where('spring.set_id', 'in', ids.length > 0 ? ids : [NOBODY])
		.groupBy('spring.set_id')
		.execute();
	const by = new Map(counts.map((count) => [count.set_id, count]));
	const sets = rows.map((row) => ({
		...setOf(row),
		springs: Number(by.get(row.id)?.springs ?? 0),
		tested: Number(by.get(row.id)?.tested ?? 0)
	}));
	return { sets, more: found.length > PAGE };
}

/** The id of nothing. */
const NOBODY = '00000000-0000-0000-0000-000000000000';

export async function findSet(db: Database, id: string): Promise<SpringSet | null> {
	const row = await setQuery(db).where('spring_set.id', '=', id).executeTakeFirst();
	return row ? setOf(row) : null;
}

/** The springs of a set with their newest sweeps, in the order of their tags. */
export async function springsOf(
	db: Database,
	setId: string,
	sweepsEach = 2
): Promise<TaggedSpring[]> {
	const springs = await db
		.selectFrom('spring')
		.selectAll()
		.where('set_id', '=', setId)
		.orderBy('position')
		.execute();
	if (springs.length === 0) return [];
	const sweeps =
		sweepsEach === 0
			? []
			: await db
					.selectFrom('spring')
					.innerJoinLateral(
						(of) =>
							of
								.selectFrom('sweep')
								.select(['doc', 'position'])
								.whereRef('sweep.spring_id', '=', 'spring.id')
								.orderBy('position', 'desc')
								.limit(sweepsEach)
								.as('newest'),
						(join) => join.onTrue()
					)
					.select(['spring.id', 'newest.doc'])
					.where('spring.set_id', '=', setId)
					.orderBy('newest.position', 'desc')
					.execute();
	return springs.map(({ id, tag, measured }) => ({
		id,
		tag,
		measured,
		sweeps: sweeps.filter((sweep) => sweep.id === id).map(({ doc }) => doc as Sweep)
	}));
}

/** What somebody says of a set: its name, what its springs should be, and where they work. */
export interface SetFields {
	readonly name: string;
	readonly cardId: string | null;
	readonly build?: SpringBuild | null;
	readonly jobId: string | null;
	readonly seat: string;
	readonly lift: string;
}

const rowOf = ({ name, cardId, build, jobId, seat, lift }: SetFields) => ({
	name,
	card_id: cardId,
	build: build ?? null,
	job_id: jobId,
	seat,
	lift
});

/** A new set of springs, tagged T1 and so on. */
export async function addSet(
	db: Database,
	set: SetFields,
	count: number,
	by: Person
): Promise<string> {
	const id = uuid();
	await db.transaction().execute(async (trx) => {
		await trx
			.insertInto('spring_set')
			.values({ id, ...rowOf(set), created_by: by.id })
			.execute();
		await trx
			.insertInto('spring')
			.values(
				Array.from({ length: count }, (_, i) => ({
					id: uuid(),
					set_id: id,
					position: i,
					tag: `T${i + 1}`
				}))
			)
			.execute();
	});
	return id;
}

/** Says something else of a set; what its sweeps tell is worked out anew. @returns false when there is no such set */
export async function editSet(db: Database, id: string, set: SetFields): Promise<boolean> {
	const { numUpdatedRows } = await db
		.updateTable('spring_set')
		.set(rowOf(set))
		.where('id', '=', id)
		.executeTakeFirst();
	const springs = await db.selectFrom('spring').select('id').where('set_id', '=', id).execute();
	for (const spring of springs) await loggingFailures(() => deriveSpring(db, spring.id));
	return numUpdatedRows > 0n;
}

/**
 * Keeps a sweep with its spring; the same one twice is harmless.
 *
 * @returns false when there is no such spring
 * @throws {@link AlreadyKept} where something else is kept under its id
 */
export async function keepSweep(
	db: Database,
	setId: string,
	sweep: Sweep,
	by: Person
): Promise<boolean> {
	const spring = await db
		.selectFrom('spring')
		.select('id')
		.where('set_id', '=', setId)
		.where('tag', '=', sweep.tag)
		.executeTakeFirst();
	if (!spring) return false;
	await once(spring.id, [sweep], [], {
		insert: () =>
			db
				.insertInto('sweep')
				.values({
					id: sweep.id,
					spring_id: spring.id,
					doc: json(sweep),
					person_id: by.id,
					at: new Date(sweep.at)
				})
				.onConflict((conflict) => conflict.column('id').doNothing())
				.returning('id')
				.execute(),
		find: async (ids) => {
			const rows = await db.selectFrom('sweep').selectAll().where('id', 'in', ids).execute();
			return rows.map((row) => ({ owner: row.spring_id, entry: row.doc }));
		}
	});
	await loggingFailures(() => deriveSpring(db, spring.id));
	return true;
}

/** From which parts the springs of a set are watched and stopped at. @returns false when there is no such set */
export async function setLimits(db: Database, id: string, limits: SetLimits): Promise<boolean> {
	const { numUpdatedRows } = await db
		.updateTable('spring_set')
		.set({ limits: json(limits) })
		.where('id', '=', id)
		.executeTakeFirst();
	return numUpdatedRows > 0n;
}

/** Keeps what was measured of a spring by hand: diameters, free height, a bind placed by eye. */
export async function setMeasured(
	db: Database,
	setId: string,
	tag: string,
	measured: SpringMeasured
): Promise<void> {
	const changed = await db
		.updateTable('spring')
		.set({ measured: json(measured) })
		.where('set_id', '=', setId)
		.where('tag', '=', tag)
		.returning('id')
		.execute();
	for (const { id } of changed) await loggingFailures(() => deriveSpring(db, id));
}
