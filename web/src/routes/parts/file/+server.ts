import { PART_TYPES, type PartType } from '@zinc-ledger/core';
import { writeParts } from '@zinc-ledger/core/parts';
import { partsToCsv } from '$lib/parts/library/csv';
import { withDatabase } from '$lib/server/with-database';
import { listParts, revisionsOf } from '$lib/server/parts/parts';

/** The library as a file: everything as JSON, or one type as CSV. */
export async function GET({ url }) {
	const wanted = url.searchParams.get('type') as PartType;
	const type = PART_TYPES.includes(wanted) ? wanted : undefined;
	const parts = await withDatabase((db) => listParts(db, type ? { type } : {}));
	const revisions = await withDatabase(revisionsOf);
	const revisionOf = (id: string) => revisions.get(id) ?? '';
	const asCsv = url.searchParams.get('as') === 'csv' && type !== undefined;
	return new Response(asCsv ? partsToCsv(type, parts, revisionOf) : writeParts(parts), {
		headers: {
			'content-type': asCsv ? 'text/csv; charset=utf-8' : 'application/json',
			'content-disposition': `attachment; filename="${asCsv ? `${type.replace(' ', '-')}.csv` : 'parts.json'}"`
		}
	});
}
