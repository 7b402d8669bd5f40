/** Jobs found in the database by what somebody types. */
import { sql } from 'kysely';
import type { Database } from '../database/connection';

/** Words of a search that are looked for each on its own. */
const MOST_WORDS = 8;

/**
 * The jobs that have the text in their number, customer, engine or use, newest
 * first; where none has, those that nearly have each of its words, most alike first.
 */
export async function findJobIds(db: Database, text: string, limit: number): Promise<string[]> {
	const wanted = text.trim();
	const like = `%${wanted.replace(/[\\%_]/g, '\\$&')}%`;
	const exact = await db
		.selectFrom('job')
		.select('id')
		.$if(wanted !== '', (query) => query.where('search', 'ilike', like))
		.orderBy('taken_in', 'desc')
		.orderBy('id', 'desc')
		.limit(limit)
		.execute();
	if (exact.length > 0 || wanted === '') return exact.map((row) => row.id);
	const words = wanted.split(/\s+/).slice(0, MOST_WORDS);
	const near = await db
		.selectFrom('job')
		.select('id')
		.where((where) => where.and(words.map((word) => sql<boolean>`${word} <% search`)))
		.orderBy(
			sql.join(
				words.map((word) => sql`word_similarity(${word}, search)`),
				sql` + `
			),
			'desc'
		)
		.orderBy('taken_in', 'desc')
		.limit(limit)
		.execute();
	return near.map((row) => row.id);
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
