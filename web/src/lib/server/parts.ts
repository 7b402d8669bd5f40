/** The shop's library of parts, and what is on the shelf. */
import { sql } from 'kysely';
import { v7 as uuid } from 'uuid';
import type { LibraryPart, PartSort, Person } from '@zinc-ledger/core';
import type { Database } from './database/connection';

const json = (value: unknown) => JSON.stringify(value);
const MOST_LISTED = 500;

interface Row {
	sort: PartSort;
	doc: LibraryPart['part'];
	stock: number | null;
	retired: boolean;
}
const partOf = (row: Row) =>
	({ sort: row.sort, part: row.doc, stock: row.stock, retired: row.retired }) as LibraryPart;

/** Parts of a sort, or of all, that have every word of the text in any of their fields. */
export async function listParts(
	db: Database,
	{ sort, find = '' }: { sort?: PartSort; find?: string } = {}
): Promise<LibraryPart[]> {
	const words = find.trim().toLowerCase().split(/\s+/).filter(Boolean);
	const rows = await db
		.selectFrom('part')
		.select(['sort', 'doc', 'stock', 'retired'])
		.$if(sort !== undefined, (query) => query.where('sort', '=', sort!))
		.where((where) =>
			where.and(
				words.map((word) => where('search', 'like', `%${word.replace(/[\\%_]/g, '\\$&')}%`))
			)
		)
		.orderBy('retired')
		.orderBy('sort')
		.orderBy(sql`doc ->> 'name'`)
		.limit(MOST_LISTED)
		.execute();
	return rows.map(partOf);
}

export async function findPart(db: Database, id: string): Promise<LibraryPart | null> {
	const row = await db.selectFrom('part').selectAll().where('id', '=', id).executeTakeFirst();
	return row ? partOf(row) : null;
}

/** Keeps a part as it is now; new, or in place of what it was. */
export const savePart = (db: Database, { sort, part, stock, retired }: LibraryPart, by?: Person) =>
	db
		.insertInto('part')
		.values({ id: part.id, sort, doc: json(part), stock, retired, changed_by: by?.id ?? null })
		.onConflict((conflict) =>
			conflict.column('id').doUpdateSet({
				doc: json(part),
				retired,
				changed_at: new Date(),
				changed_by: by?.id ?? null
			})
		)
		.execute();

/** Parts that a job brings join the library; ones it has already are left as they are. */
export async function keepParts(db: Database, parts: readonly LibraryPart[]): Promise<void> {
	if (parts.length === 0) return;
	await db
		.insertInto('part')
		.values(
			parts.map(({ sort, part, stock, retired }) => ({
				id: part.id,
				sort,
				doc: json(part),
				stock,
				retired,
				changed_by: null
			}))
		)
		.onConflict((conflict) => conflict.column('id').doNothing())
		.execute();
}

/** Takes in a whole file of parts in one transaction; each replaces the one with its id. */
export async function importParts(
	db: Database,
	parts: readonly LibraryPart[],
	by: Person
): Promise<void> {
	await db.transaction().execute(async (trx) => {
		for (const part of parts) {
			await savePart(trx, part, by);
			await trx
				.updateTable('part')
				.set({ stock: part.stock })
				.where('id', '=', part.part.id)
				.execute();
		}
	});
}

export const retirePart = (db: Database, id: string, retired: boolean, by: Person) =>
	db
		.updateTable('part')
		.set({ retired, changed_at: new Date(), changed_by: by.id })
		.where('id', '=', id)
		.execute();

/**
 * Puts parts on the shelf or takes them off, and keeps who and why.
 *
 * @returns what is there now, or null when fewer are there than were to be taken
 */
export async function moveStock(
	db: Database,
	id: string,
	change: number,
	reason: string,
	person: Person
): Promise<number | null> {
	return db.transaction().execute((trx) => shift(trx, id, change, reason, person.id));
}

/** {@link moveStock} within a transaction that is under way. */
export async function shift(
	db: Database,
	id: string,
	change: number,
	reason: string,
	person: string
): Promise<number | null> {
	const moved = await db
		.updateTable('part')
		.set({ stock: sql<number>`coalesce(stock, 0) + ${change}` })
		.where('id', '=', id)
		.where(sql<boolean>`coalesce(stock, 0) + ${change} >= 0`)
		.returning('stock')
		.executeTakeFirst();
	if (!moved) return null;
	await db
		.insertInto('stock_move')
		.values({ id: uuid(), part_id: id, change, reason, person_id: person, at: new Date() })
		.execute();
	return moved.stock;
}
