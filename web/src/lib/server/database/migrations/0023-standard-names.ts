import { sql, type Kysely } from 'kysely';
import { fromVersion2, valueSince2 } from '@zinc-ledger/core/file';
import { changing, rewriteDocuments, type Documents } from './documents';

const DOCUMENTS: readonly Documents[] = [
	{ table: 'job', key: 'id', document: 'setup' },
	{ table: 'station', key: "job_id::text || ' ' || label", document: 'entry' },
	{ table: 'part', key: 'id', document: 'doc' },
	{ table: 'gauge', key: 'id', document: 'doc' },
	{ table: 'template', key: 'id', document: 'doc' },
	{ table: 'job_entry', key: 'id', document: 'entry' },
	{ table: 'decision', key: 'id', document: 'from' },
	{ table: 'decision', key: 'id', document: 'to' },
	{ table: 'job_stage', key: "job_id::text || ' ' || position", document: 'note' }
];

/**
 * Names of version 3 of the documents: what tells the members of a union apart is called `type`,
 * bounds are `min` and `max`, and rules of fit have codes. No row comes or goes, and what was read, by whom and when stays as it was.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
	await sql`alter table part rename column sort to type`.execute(db);
	await sql`alter index part_by_sort rename to part_by_type`.execute(db);
	await changing(db, ['decision', 'job_entry', 'job', 'shop_limit'], async () => {
		await rewriteDocuments(db, DOCUMENTS, (document) => fromVersion2(document));
		await paths(db, 'decision', 'subject');
		await paths(db, 'shop_limit', 'field');
	});
}

/** Paths of fields in documents, in a column. */
async function paths(db: Kysely<unknown>, table: string, column: string): Promise<void> {
	const { rows } = await sql<{ path: string }>`
		select distinct ${sql.ref(column)} as path from ${sql.table(table)}
	`.execute(db);
	for (const { path } of rows) {
		const now = valueSince2('subject', path);
		if (now !== path)
			await sql`
				update ${sql.table(table)} set ${sql.ref(column)} = ${now} where ${sql.ref(column)} = ${path}
			`.execute(db);
	}
}
