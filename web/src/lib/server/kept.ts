/** Documents of the shop's library that are kept whole: kits, templates of engines. */
import { sql } from 'kysely';
import type { Kit, Person, Template } from '@zinc-ledger/core';
import type { Database } from './database/connection';

interface Docs {
	readonly kit: Kit;
	readonly template: Template;
}
type Table = keyof Docs;

/** A document as it is kept, with the revision that a change must name. */
export interface Kept<Doc> {
	readonly doc: Doc;
	readonly revision: number;
	readonly retired: boolean;
}

/** More than this are found by typing more of their name. */
const MAX = 200;

/** Those that have every word of a text, by name; retired ones last. */
export async function listKept<T extends Table>(
	db: Database,
	table: T,
	find = ''
): Promise<Kept<Docs[T]>[]> {
	const words = find.trim().toLowerCase().split(/\s+/).filter(Boolean).slice(0, 8);
	const has = words.map((word) => sql`search like ${`%${word.replace(/[\\%_]/g, '\\$&')}%`}`);
	const { rows } = await sql<Kept<Docs[T]>>`
		select doc, revision, retired from ${sql.table(table)}
		where ${has.length > 0 ? sql.join(has, sql` and `) : sql`true`}
		order by retired, lower(doc ->> 'name'), id limit ${MAX}
	`.execute(db);
	return rows;
}

export async function findKept<T extends Table>(
	db: Database,
	table: T,
	id: string
): Promise<Kept<Docs[T]> | null> {
	const { rows } = await sql<Kept<Docs[T]>>`
		select doc, revision, retired from ${sql.table(table)} where id = ${id}
	`.execute(db);
	return rows[0] ?? null;
}

/**
 * Keeps a document: a new one, or in place of what it was at the revision named.
 *
 * @returns false where somebody else was first
 */
export async function saveKept<T extends Table>(
	db: Database,
	table: T,
	doc: Docs[T],
	revision: number | null,
	by: Person | null
): Promise<boolean> {
	const json = JSON.stringify(doc);
	const { numAffectedRows } =
		revision === null
			? await sql`
				insert into ${sql.table(table)} (id, doc, changed_by)
				values (${doc.id}, ${json}::jsonb, ${by?.id ?? null})
				on conflict (id) do update set doc = excluded.doc, changed_at = now(),
					changed_by = excluded.changed_by, revision = ${sql.table(table)}.revision + 1
			`.execute(db)
			: await sql`
				update ${sql.table(table)} set doc = ${json}::jsonb, revision = revision + 1,
					changed_at = now(), changed_by = ${by?.id ?? null}
				where id = ${doc.id} and revision = ${revision}
			`.execute(db);
	return (numAffectedRows ?? 0n) > 0n;
}

/** Retired ones are kept, and offered no more. */
export const retireKept = (db: Database, table: Table, id: string, retired: boolean, by: Person) =>
	sql`
		update ${sql.table(table)} set retired = ${retired}, revision = revision + 1,
			changed_at = now(), changed_by = ${by.id}
		where id = ${id}
	`.execute(db);
