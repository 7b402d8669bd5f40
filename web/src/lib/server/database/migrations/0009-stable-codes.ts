import { sql, type Kysely } from 'kysely';
import { upgraded, valueNow } from '@zinc-ledger/core/file';

/** Rows that are read and written at once. */
const AT_ONCE = 500;

/** Tables whose rows are never changed but here. */
const APPEND_ONLY = ['reading', 'decision', 'job_entry'];

interface Documents {
	readonly table: string;
	/** What names a row, and what of it is a document. */
	readonly key: string;
	readonly document: string;
	/** The list of a job that it is an entry of, where the rows are of several. */
	readonly list?: string;
}
const DOCUMENTS: readonly Documents[] = [
	{ table: 'engine', key: 'id', document: 'layout' },
	{ table: 'job', key: 'id', document: 'setup' },
	{ table: 'station', key: "job_id::text || ' ' || label", document: 'entry' },
	{ table: 'part', key: 'id', document: 'doc' },
	{ table: 'gauge', key: 'id', document: 'doc' },
	{ table: 'job_entry', key: 'id', document: 'entry', list: 'list' }
];

/**
 * Fields and values by their codes of version 2. No row comes or goes, and what was read,
 * by whom, when and with what stays as it was written.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
	for (const table of APPEND_ONLY)
		await sql`alter table ${sql.table(table)} disable trigger user`.execute(db);
	await readings(db);
	await partSorts(db);
	await decisions(db);
	for (const documents of DOCUMENTS) await rewrite(db, documents);
	for (const table of APPEND_ONLY)
		await sql`alter table ${sql.table(table)} enable trigger user`.execute(db);
}

/** One column of coded values: each value by its code of now. */
async function coded(db: Kysely<unknown>, table: string, column: string): Promise<void> {
	const values = await sql<{ value: string }>`
		select distinct ${sql.ref(column)} as value from ${sql.table(table)}
	`.execute(db);
	for (const { value } of values.rows) {
		const now = valueNow(column, value);
		if (now !== value)
			await sql`
				update ${sql.table(table)} set ${sql.ref(column)} = ${now} where ${sql.ref(column)} = ${value}
			`.execute(db);
	}
}
const readings = (db: Kysely<unknown>) => coded(db, 'reading', 'quantity');
const partSorts = (db: Kysely<unknown>) => coded(db, 'part', 'sort');

async function decisions(db: Kysely<unknown>): Promise<void> {
	interface Row {
		readonly id: string;
		readonly subject: string;
		readonly from: unknown;
		readonly to: unknown;
	}
	await inBatches<Row>(
		db,
		(after) => sql`
			select id::text, subject, "from", "to" from decision where id::text > ${after} order by 1 limit ${AT_ONCE}
		`,
		async ({ id, ...before }) => {
			// What makes it a decision for who reads it: a subject, a person, a time.
			const now = upgraded({ ...before, person: '', at: '' });
			await sql`
				update decision set subject = ${now.subject}, "from" = ${json(now.from)}::jsonb, "to" = ${json(now.to)}::jsonb
				where id = ${id}::uuid
			`.execute(db);
		}
	);
}

async function rewrite(db: Kysely<unknown>, { table, key, document, list }: Documents) {
	const named = sql.raw(key);
	await inBatches<{ id: string; document: unknown; list: string | null }>(
		db,
		(after) => sql`
			select (${named})::text as id, ${sql.ref(document)} as document, ${list ? sql.ref(list) : sql`null`} as list
			from ${sql.table(table)} where (${named})::text > ${after} order by 1 limit ${AT_ONCE}
		`,
		async (row) => {
			const now = json(upgraded(row.document, row.list ?? ''));
			if (now === json(row.document)) return;
			await sql`
				update ${sql.table(table)} set ${sql.ref(document)} = ${now}::jsonb where (${named})::text = ${row.id}
			`.execute(db);
		}
	);
}

const json = (value: unknown) =>
	value === null || value === undefined ? null : JSON.stringify(value);

/** Goes through all rows by their keys, some at a time. */
async function inBatches<Row extends { readonly id: string }>(
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
