/** Heads, wherever they are fitted, and their visits. */
import type { Job } from '@zinc-ledger/core';
import type { Database } from '../database/connection';
import { inTransaction } from '../database/transaction';

/** A head with the engine it is on; that is null where another took its place. */
export const findHead = (db: Database, id: string) =>
	db
		.selectFrom('cylinder_head')
		.leftJoin('engine', 'engine.id', 'cylinder_head.engine_id')
		.leftJoin('customer', 'customer.id', 'engine.customer_id')
		.select(['cylinder_head.id', 'cylinder_head.place', 'cylinder_head.mark'])
		.select(['engine.id as engineId', 'engine.name as engine', 'customer.name as customer'])
		.where('cylinder_head.id', '=', id)
		.executeTakeFirst();

/** The heads that are on an engine. */
export const headsOfEngine = (db: Database, engineId: string) =>
	db
		.selectFrom('cylinder_head')
		.select(['id', 'place', 'mark'])
		.where('engine_id', '=', engineId)
		.orderBy('place')
		.execute();

/** The jobs of a head, newest first. */
export async function visitsOfHead(db: Database, id: string): Promise<string[]> {
	const rows = await db
		.selectFrom('head')
		.innerJoin('job', 'job.id', 'head.job_id')
		.select('job.id')
		.where('cylinder_head_id', '=', id)
		.orderBy('taken_in', 'desc')
		.execute();
	return rows.map((row) => row.id);
}

/** Puts a head on an engine; what was in that place before is on none from then on. */
export async function moveHead(
	db: Database,
	id: string,
	engineId: string,
	place: string
): Promise<void> {
	await inTransaction(db, async (trx) => {
		await trx
			.updateTable('cylinder_head')
			.set({ engine_id: null })
			.where('engine_id', '=', engineId)
			.where('place', '=', place)
			.where('id', '!=', id)
			.execute();
		await trx
			.updateTable('cylinder_head')
			.set({ engine_id: engineId, place })
			.where('id', '=', id)
			.execute();
	});
}

/** What a head is known by: its casting or serial number, or the shop's label. */
export const markHead = (db: Database, id: string, mark: string) =>
	db
		.updateTable('cylinder_head')
		.set({ mark: mark === '' ? null : mark })
		.where('id', '=', id)
		.execute();

/** The head in this place of an engine. */
const headIn = (db: Database, engineId: string, place: string) =>
	db
		.selectFrom('cylinder_head')
		.select(['id', 'mark'])
		.where('engine_id', '=', engineId)
		.where('place', '=', place)
		.executeTakeFirst();

/**
 * Which head a job's is: the one it names, wherever that is fitted now, or the one in its place
 * on the engine; a new one where there is none.
 */
export async function headAt(
	db: Database,
	engineId: string,
	{ id: place, identity, mark }: Job['heads'][number]
): Promise<string> {
	const before = await headIn(db, engineId, place);
	if (identity === undefined && !before) {
		// Where two jobs bring it at once, one of them makes it.
		await db
			.insertInto('cylinder_head')
			.values({ engine_id: engineId, place, mark: mark ?? null })
			.onConflict((conflict) => conflict.columns(['engine_id', 'place']).doNothing())
			.execute();
		return (await headIn(db, engineId, place))!.id;
	}
	const id = identity ?? before!.id;
	if (identity !== undefined)
		await db
			.insertInto('cylinder_head')
			// One whose place another has is on no engine, until somebody says so.
			.values({ id, engine_id: before ? null : engineId, place, mark: mark ?? null })
			.onConflict((conflict) => conflict.column('id').doNothing())
			.execute();
	if (mark !== undefined && before?.mark === null && id === before.id) await markHead(db, id, mark);
	return id;
}
