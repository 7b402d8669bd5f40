/**
 * The shop's shelf: every move of a part is a row with job, person and reason, and what lies
 * there is the sum of its moves. Nothing is taken that is not there.
 */
import { message, type Message } from '@zinc-ledger/core';
import { sql } from 'kysely';
import { v7 as uuid } from 'uuid';
import type { Database } from '../database/connection';
import type { Person } from '@zinc-ledger/core';

export interface Move {
	readonly part: string;
	/** More than 0 onto the shelf, less than 0 off it. */
	readonly change: number;
}

export interface Why {
	readonly reason: string;
	readonly person: string | null;
	/** The job that takes or gives back. */
	readonly job?: string;
}

/** Less lies on the shelf than was to be taken. */
export class Short extends Error {
	readonly says: Message;
	constructor(part: string, required: number, stock: number) {
		super(`short of ${part}`);
		this.says = message('stock.short', { part, required, stock });
	}
}

/**
 * Moves parts on and off the shelf, all or none, within a transaction that is under way.
 * Parts that nobody counted are neither short nor counted by it.
 *
 * @throws {@link Short} where there are fewer than were to be taken
 */
export async function moveParts(trx: Database, moves: readonly Move[], why: Why): Promise<void> {
	const change = new Map<string, number>();
	for (const { part, change: by } of moves) change.set(part, (change.get(part) ?? 0) + by);
	// By id, so that no two who take the same parts wait for each other.
	for (const [part, by] of [...change].toSorted(([a], [b]) => (a < b ? -1 : 1))) {
		if (by !== 0) await movePart(trx, part, by, why);
	}
}

async function movePart(trx: Database, id: string, change: number, why: Why): Promise<void> {
	const moved = await trx
		.updateTable('part')
		.set({ stock: sql<number>`stock + ${change}` })
		.where('id', '=', id)
		.where('stock', 'is not', null)
		.where(sql<boolean>`stock + ${change} >= 0`)
		.returning('stock')
		.executeTakeFirst();
	if (moved) return writeDown(trx, id, change, why);
	const part = await trx
		.selectFrom('part')
		.select(['stock', sql<string>`doc ->> 'name'`.as('name')])
		.where('id', '=', id)
		.executeTakeFirst();
	if (part && part.stock !== null) throw new Short(part.name, -change, part.stock);
}

const writeDown = async (trx: Database, part: string, change: number, why: Why): Promise<void> =>
	void (await trx
		.insertInto('stock_move')
		.values({
			id: uuid(),
			part_id: part,
			change,
			reason: why.reason,
			job_id: why.job ?? null,
			person_id: why.person,
			at: new Date()
		})
		.execute());

/**
 * Puts parts on the shelf or takes them off by hand; the first count of a part begins at none.
 *
 * @returns what is there now, or null where there is no such part
 * @throws {@link Short}
 */
export async function countInOrOut(
	trx: Database,
	id: string,
	change: number,
	reason: string,
	person: Person
): Promise<number | null> {
	await trx
		.updateTable('part')
		.set({ stock: 0 })
		.where('id', '=', id)
		.where('stock', 'is', null)
		.execute();
	await movePart(trx, id, change, { reason, person: person.id });
	const row = await trx.selectFrom('part').select('stock').where('id', '=', id).executeTakeFirst();
	return row?.stock ?? null;
}

/**
 * Sets what lies on the shelf to what was counted there; null for "not counted".
 */
export async function setCount(
	trx: Database,
	id: string,
	count: number | null,
	why: Why
): Promise<void> {
	const before = await trx
		.selectFrom('part')
		.select('stock')
		.where('id', '=', id)
		.forUpdate()
		.executeTakeFirst();
	if (!before || before.stock === count) return;
	await trx.updateTable('part').set({ stock: count }).where('id', '=', id).execute();
	const change = (count ?? 0) - (before.stock ?? 0);
	if (change !== 0) await writeDown(trx, id, change, why);
}

/** What a job has taken of each part and not given back. */
export async function takenBy(db: Database, jobId: string): Promise<ReadonlyMap<string, number>> {
	const rows = await db
		.selectFrom('stock_move')
		.select(['part_id', (select) => select.fn.sum<string>('change').as('change')])
		.where('job_id', '=', jobId)
		.groupBy('part_id')
		.execute();
	return new Map(rows.map(({ part_id, change }) => [part_id, -Number(change)]));
}
