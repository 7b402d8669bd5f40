/** Jobs found in the database by what somebody types. */
import { sql } from 'kysely';
import type { Database } from '../database/connection';

/** Words of a search that are looked for each on its own. */
const MAX_WORDS = 8;

/**
 * The jobs that have the text in their number, customer, engine or use, newest
 * first; where none has, those that have each of its words or one much like it.
 */
export async function findJobIds(db: Database, text: string, limit: number): Promise<string[]> {
	const wanted = text.trim();
	const exact = await db
		.selectFrom('job')
		.select('id')
		.$if(wanted !== '', (query) => query.where('search', 'ilike', has(wanted)))
		.orderBy('taken_in', 'desc')
		.orderBy('id', 'desc')
		.limit(limit)
		.execute();
	if (exact.length > 0 || wanted === '') return exact.map((row) => row.id);
	const near = await likelyWords(db, wanted.split(/\s+/).slice(0, MAX_WORDS));
	const rows = await db
		.selectFrom('job')
		.select('id')
		.where((where) =>
			where.and(
				near.map((words) => where.or(words.map((word) => where('search', 'ilike', has(word)))))
			)
		)
		.orderBy('taken_in', 'desc')
		.orderBy('id', 'desc')
		.limit(limit)
		.execute();
	return rows.map((row) => row.id);
}

/** A pattern for what has the text in it, its signs taken as they are. */
const has = (text: string) => `%${text.replace(/[\\%_]/g, '\\$&')}%`;

/** Words tried for each that was typed. */
const MOST_LIKELY = 4;

/** For each word itself and the known ones that it may stand for, most alike first. */
const likelyWords = (db: Database, typed: readonly string[]): Promise<string[][]> =>
	Promise.all(
		typed.map(async (word) => {
			const rows = await db
				.selectFrom('job_word')
				.select('word')
				.where(sql<boolean>`word % ${word.toLowerCase()}`)
				.orderBy(sql`similarity(word, ${word.toLowerCase()})`, 'desc')
				.orderBy('word')
				.limit(MOST_LIKELY)
				.execute();
			return [word, ...rows.map((row) => row.word)];
		})
	);

/** The job of this very number; null where there is none. */
export async function jobNumbered(db: Database, number: string): Promise<string | null> {
	const row = await db
		.selectFrom('job')
		.select('id')
		.where('number', '=', number)
		.executeTakeFirst();
	return row?.id ?? null;
}

/** One more than the highest job number that is a plain number. */
export async function nextJobNumber(db: Database): Promise<string> {
	const row = await db
		.selectFrom('job')
		.select(sql<string | null>`max(number::bigint)`.as('highest'))
		.where(sql<boolean>`number ~ '^[0-9]{1,12}$'`)
		.executeTakeFirst();
	return String(Number(row?.highest ?? 1000) + 1);
}
