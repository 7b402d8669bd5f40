/** What migrations do to the documents in rows. */
import { sql, type Kysely } from 'kysely';

/** Rows that are read and written at once. */
export const AT_ONCE = 500;

/** Documents of a table, each in a column of its row. */
export interface Documents {
	readonly table: string;
	/** SQL for what names a row. */
	readonly key: string;
	/** The column with the document. */
	readonly document: string;
	/** The column that says which list of a job it is an entry of, where the rows are of several. */
	readonly list?: string;
}

/** Lets a migration change tables whose rows nobody changes otherwise. */
export async function changing(
	db: Kysely<unknown>,
	tables: readonly string[],
	change: () => Promise<void>
): Promise<void> {
	for (const table of tables)
		await sql`alter table ${sql.table(table)} disable trigger user`.execute(db);
	await change();
	for (const table of tables)
		await sql`alter table ${sql.table(table)} enable trigger user`.execute(db);
}

/** Rewrites every document that `rewrite` changes. */
export async function rewriteDocuments(
	db: Kysely<unknown>,
	all: readonly Documents[],
	rewrite: (document: unknown, list: string) => unknown
): Promise<void> {
	for (const { table, key, document, list } of all) {
		const named = sql.raw(key);
		await inBatches<{ id: string; document: unknown; list: string | null }>(
			db,
			(after) => sql`
				select (${named})::text as id, ${sql.ref(document)} as document, ${list ? sql.ref(list) : sql`null`} as list
				from ${sql.table(table)} where (${named})::text > ${after} order by 1 limit ${AT_ONCE}
			`,
			async (row) => {
				const now = json(rewrite(row.document, row.list ?? ''));
				if (now === json(row.document)) return;
				await sql`
					update ${sql.table(table)} set ${sql.ref(document)} = ${now}::jsonb where (${named})::text = ${row.id}
				`.execute(db);
			}
		);
	}
}

export const json = (value: unknown): string | null =>
	value === null || value === undefined ? null : JSON.stringify(value);

/** Goes through all rows by their keys, some at a time. */
export async function inBatches<Row extends { readonly id: string }>(
	db: Kysely<unknown>,
	some: (after: string) => ReturnType<typeof sql<Row>>,
	each: (row: Row) => Promise<void>
): Promise<void> {
	let after = '';
	for (;;) {
		const { rows } = await some(after).execute(db);
		for (const row of rows) await each(row);
		if (rows.length < AT_ONCE) return;
		after = rows.at(-1)!.id;
	}
}
