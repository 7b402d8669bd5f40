import { sql, type Kysely } from 'kysely';
import { fromVersion1, valueSince1 } from '@zinc-ledger/core/file';
import { AT_ONCE, changing, inBatches, json, rewriteDocuments, type Documents } from './documents';

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
	await changing(db, ['reading', 'decision', 'job_entry'], async () => {
		await readings(db);
		await partSorts(db);
		await decisions(db);
		await rewriteDocuments(db, DOCUMENTS, fromVersion1);
	});
}

/** One column of coded values: each value by its code of now. */
async function coded(db: Kysely<unknown>, table: string, column: string): Promise<void> {
	const values = await sql<{ value: string }>`
		select distinct ${sql.ref(column)} as value from ${sql.table(table)}
	`.execute(db);
	for (const { value } of values.rows) {
		const now = valueSince1(column, value);
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
			const now = fromVersion1({ ...before, person: '', at: '' });
			await sql`
				update decision set subject = ${now.subject}, "from" = ${json(now.from)}::jsonb, "to" = ${json(now.to)}::jsonb
				where id = ${id}::uuid
			`.execute(db);
		}
	);
}
