import { sql, type Kysely } from 'kysely';
import { fromVersion2 } from '@zinc-ledger/core/file';
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
 * Names of version 3 of the documents: what tells the members of a union apart is called `type`, and
 * rules of fit have codes. No row comes or goes, and what was read, by whom and when stays as it was.
 */
export async function up(db: Kysely<unknown>): Promise<void> {
	await sql`alter table part rename column sort to type`.execute(db);
	await sql`alter index part_by_sort rename to part_by_type`.execute(db);
	await changing(db, ['decision', 'job_entry', 'job'], async () => {
		await rewriteDocuments(db, DOCUMENTS, (document) => fromVersion2(document));
		await sql`
			update decision set subject = regexp_replace(subject, '\\.sort(\\.|$)', '.type\\1', 'g')
			where subject ~ '\\.sort(\\.|$)'
		`.execute(db);
	});
}
