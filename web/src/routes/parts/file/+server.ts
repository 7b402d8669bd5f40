import { PART_SORTS, type PartSort } from '@zinc-ledger/core';
import { writeParts } from '@zinc-ledger/core/parts';
import { partsToCsv } from '$lib/parts/csv';
import { ask } from '$lib/server/ask';
import { listParts, revisionsOf } from '$lib/server/parts';

/** The library as a file: everything as JSON, or one sort as CSV. */
export async function GET({ url }) {
	const wanted = url.searchParams.get('sort') as PartSort;
	const sort = PART_SORTS.includes(wanted) ? wanted : undefined;
	const parts = await ask((db) => listParts(db, sort ? { sort } : {}));
	const revisions = await ask(revisionsOf);
	const revisionOf = (id: string) => revisions.get(id) ?? '';
	const asCsv = url.searchParams.get('as') === 'csv' && sort !== undefined;
	return new Response(asCsv ? partsToCsv(sort, parts, revisionOf) : writeParts(parts), {
		headers: {
			'content-type': asCsv ? 'text/csv; charset=utf-8' : 'application/json',
			'content-disposition': `attachment; filename="${asCsv ? `${sort.replace(' ', '-')}.csv` : 'parts.json'}"`
		}
	});
}
