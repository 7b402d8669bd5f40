import { writeSweep } from '@zinc-ledger/core/sweep-schema';
import { sweepToCsv } from '$lib/springs/sets/csv';
import { withDatabase } from '$lib/server/with-database';
import { springsOf } from '$lib/server/springs/springs';
import { message } from '@zinc-ledger/core';
import { refuse } from '$lib/server/http/refuse';

/** A spring's newest sweep as a file: the open JSON, or CSV. */
export async function GET({ params, url }) {
	const tag = url.searchParams.get('tag');
	const springs = await withDatabase((db) => springsOf(db, params.id, 1));
	const sweep = springs.find((spring) => spring.tag === tag)?.sweeps[0];
	if (!sweep) refuse(404, message('server.unknown', { what: 'sweep' }));
	const asCsv = url.searchParams.get('as') === 'csv';
	return new Response(asCsv ? sweepToCsv(sweep) : writeSweep(sweep), {
		headers: {
			'content-type': asCsv ? 'text/csv; charset=utf-8' : 'application/json',
			'content-disposition': `attachment; filename="${sweep.tag}.${asCsv ? 'csv' : 'json'}"`
		}
	});
}
