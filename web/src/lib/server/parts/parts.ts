/** The shop's library of parts. What lies on the shelf of each is `stock.ts`. */
import { sql } from 'kysely';
import {
	lengthOf,
	type LibraryPart,
	type PartType,
	type Person,
	type ShelvedFollowerShim,
	type ShelvedShim
} from '@zinc-ledger/core';
import { partsCalled } from '@zinc-ledger/words';
import type { Database } from '../database/connection';
import { inTransaction } from '../database/transaction';
import { setCount } from './stock';

const json = (value: unknown) => JSON.stringify(value);

/** Parts on one page of the library. */
export const PAGE = 100;

interface Row {
	type: PartType;
	doc: LibraryPart['part'];
	stock: number | null;
	retired: boolean;
}
const partOf = (row: Row) =>
	({ type: row.type, part: row.doc, stock: row.stock, retired: row.retired }) as LibraryPart;

interface Wanted {
	readonly type?: PartType | undefined;
	/** Every word of it is in some field of the part, or is what its type is called. */
	readonly find?: string;
}

/** Parts of a type, or of all, that have every word of a text: all of them. */
export async function listParts(db: Database, wanted: Wanted = {}): Promise<LibraryPart[]> {
	return (await partsQuery(db, wanted).execute()).map(partOf);
}

/** What each part stands at: the revision of its record, and how often its count moved. */
export async function revisionsOf(db: Database): Promise<ReadonlyMap<string, string>> {
	const rows = await db
		.selectFrom('part')
		.leftJoin('stock_move', 'stock_move.part_id', 'part.id')
		.select(({ fn }) => ['part.id', 'part.revision', fn.count<string>('stock_move.id').as('moves')])
		.groupBy(['part.id', 'part.revision'])
		.execute();
	return new Map(rows.map(({ id, revision, moves }) => [id, `${revision}.${moves}`]));
}

/** One page of them, and whether there are more. */
export async function pageOfParts(
	db: Database,
	wanted: Wanted,
	page: number
): Promise<{ parts: LibraryPart[]; more: boolean }> {
	const rows = await partsQuery(db, wanted)
		.limit(PAGE + 1)
		.offset(page * PAGE)
		.execute();
	return { parts: rows.slice(0, PAGE).map(partOf), more: rows.length > PAGE };
}

/** Parts whose fields hold words much like those typed, the nearest first. */
export async function partsLike(db: Database, text: string, max: number): Promise<LibraryPart[]> {
	const wanted = text.trim().toLowerCase();
	const rows = await db
		.selectFrom('part')
		.select(['type', 'doc', 'stock', 'retired'])
		.where(sql<boolean>`${wanted} <% search`)
		.orderBy('retired')
		.orderBy(sql`word_similarity(${wanted}, search)`, 'desc')
		.orderBy('id')
		.limit(max)
		.execute();
	return rows.map(partOf);
}

function partsQuery(db: Database, { type, find = '' }: Wanted) {
	const words = find.trim().toLowerCase().split(/\s+/).filter(Boolean).slice(0, MAX_WORDS);
	return db
		.selectFrom('part')
		.select(['type', 'doc', 'stock', 'retired'])
		.$if(type !== undefined, (query) => query.where('type', '=', type!))
		.where((where) =>
			where.and(
				words.map((word) => {
					const has = where('search', 'like', `%${word.replace(/[\\%_]/g, '\\$&')}%`);
					const types = partsCalled(word);
					return types.length > 0 ? where.or([has, where('type', 'in', types)]) : has;
				})
			)
		)
		.orderBy('retired')
		.orderBy('type')
		.orderBy(sql`doc ->> 'name'`)
		.orderBy('id');
}
const MAX_WORDS = 8;

/** The shims that the library counts. */
export async function countedShims(db: Database): Promise<ShelvedShim[]> {
	const rows = await db
		.selectFrom('part')
		.select(['doc', 'stock'])
		.where('type', '=', 'shim')
		.where('stock', 'is not', null)
		.where('retired', '=', false)
		.orderBy(sql`doc ->> 'name'`)
		.execute();
	return rows.map(({ doc, stock }) => ({ part: doc as ShelvedShim['part'], stock }));
}

/** The follower shims that the library counts. */
export async function countedFollowerShims(db: Database): Promise<ShelvedFollowerShim[]> {
	const all = await listParts(db, { type: 'follower-shim' });
	return all.flatMap((part) =>
		part.type === 'follower-shim' && part.stock !== null && !part.retired ? [part] : []
	);
}

/** A part with its revision, which a change must name. */
export type KnownPart = LibraryPart & { readonly revision: number };

export async function findPart(db: Database, id: string): Promise<KnownPart | null> {
	const row = await db.selectFrom('part').selectAll().where('id', '=', id).executeTakeFirst();
	return row ? { ...partOf(row), revision: row.revision } : null;
}

/** Parts by their ids; one that is not there is left out. */
export async function partsOfIds(
	db: Database,
	ids: readonly string[]
): Promise<ReadonlyMap<string, LibraryPart>> {
	if (ids.length === 0) return new Map();
	const rows = await db.selectFrom('part').selectAll().where('id', 'in', ids).execute();
	return new Map(rows.map((row) => [row.id, partOf(row)]));
}

/** The part of a type that is called so, letters large or small; undefined where there is none. */
export async function partCalled(
	db: Database,
	type: PartType,
	name: string
): Promise<LibraryPart | undefined> {
	const row = await db
		.selectFrom('part')
		.selectAll()
		.where('type', '=', type)
		.where('retired', '=', false)
		.where(sql`lower(doc ->> 'name')`, '=', name.trim().toLowerCase())
		.orderBy('created_at')
		.executeTakeFirst();
	return row && partOf(row);
}

/**
 * Keeps a part as it is now: a new one, or in place of what it was at the revision named.
 *
 * @returns false where somebody else was first
 */
export async function savePart(
	db: Database,
	part: LibraryPart,
	revision: number | null,
	by: Person
): Promise<boolean> {
	if (revision === null) {
		await keepParts(db, [part], by);
		return true;
	}
	const { numUpdatedRows } = await db
		.updateTable('part')
		.set({
			doc: json(part.part),
			thickness: thicknessOf(part),
			retired: part.retired,
			revision: revision + 1,
			changed_at: new Date(),
			changed_by: by.id
		})
		.where('id', '=', part.part.id)
		.where('revision', '=', revision)
		.executeTakeFirst();
	return numUpdatedRows > 0n;
}

/** Thickness in mm of a part that has one, by which shims are asked for. */
const thicknessOf = ({ part }: Pick<LibraryPart, 'part'>) =>
	'thickness' in part && part.thickness !== undefined ? lengthOf(part.thickness) : null;

/** Rows that go in together. */
const AT_ONCE = 500;

function* chunks<T>(all: readonly T[]): Generator<readonly T[]> {
	for (let i = 0; i < all.length; i += AT_ONCE) yield all.slice(i, i + AT_ONCE);
}

const rowOf = ({ type, part, retired }: LibraryPart, by?: Person) => ({
	id: part.id,
	type,
	doc: json(part),
	thickness: thicknessOf({ part }),
	stock: null,
	retired,
	changed_by: by?.id ?? null
});

/** Parts that are new here join the library, with their count; ones it has already are left as they are. */
export async function keepParts(
	db: Database,
	parts: readonly LibraryPart[],
	by?: Person
): Promise<void> {
	const byId = [...new Map(parts.map((one) => [one.part.id, one])).values()].toSorted((a, b) =>
		a.part.id < b.part.id ? -1 : 1
	);
	for (const some of chunks(byId)) {
		const fresh = await db
			.insertInto('part')
			.values(some.map((part) => rowOf(part, by)))
			.onConflict((conflict) => conflict.column('id').doNothing())
			.returning('id')
			.execute();
		const isFresh = new Set(fresh.map(({ id }) => id));
		for (const { part, stock } of some) {
			if (stock !== null && isFresh.has(part.id))
				await setCount(db, part.id, stock, { reason: 'counted at first', person: by?.id ?? null });
		}
	}
}

/** Takes in a whole file of parts in one transaction; each replaces the one with its id. */
export async function importParts(
	db: Database,
	parts: readonly LibraryPart[],
	by: Person
): Promise<void> {
	const sorted = parts.toSorted((a, b) => (a.part.id < b.part.id ? -1 : 1));
	await inTransaction(db, async (trx) => {
		const before = new Map<string, number | null>();
		for (const some of chunks(sorted)) {
			const rows = await trx
				.selectFrom('part')
				.select(['id', 'stock'])
				.where(
					'id',
					'in',
					some.map(({ part }) => part.id)
				)
				.orderBy('id')
				.forUpdate()
				.execute();
			for (const { id, stock } of rows) before.set(id, stock);
			await trx
				.insertInto('part')
				.values(some.map((part) => rowOf(part, by)))
				.onConflict((conflict) =>
					conflict.column('id').doUpdateSet({
						type: sql`excluded.type`,
						doc: sql`excluded.doc`,
						thickness: sql`excluded.thickness`,
						retired: sql`excluded.retired`,
						revision: sql`part.revision + 1`,
						changed_at: new Date(),
						changed_by: by.id
					})
				)
				.execute();
		}
		for (const { part, stock } of sorted) {
			if ((before.get(part.id) ?? null) !== stock)
				await setCount(trx, part.id, stock, { reason: 'counted in a file', person: by.id });
		}
	});
}

export const retirePart = (db: Database, id: string, retired: boolean, by: Person) =>
	db
		.updateTable('part')
		.set({
			retired,
			revision: sql<number>`revision + 1`,
			changed_at: new Date(),
			changed_by: by.id
		})
		.where('id', '=', id)
		.execute();
