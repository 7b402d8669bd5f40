import { writeKits } from '@zinc-ledger/core/kits';
import { kitsToCsv } from '$lib/parts/kits/csv';
import { withDatabase } from '$lib/server/with-database';
import { listKept } from '$lib/server/kept';
import { partsOfKits } from '$lib/server/parts/kits';

/** The shop's kits as a file: JSON with their parts, or CSV of the kits alone. */
export async function GET({ url }) {
	const { kits, parts } = await withDatabase(async (db) => {
		const kits = (await listKept(db, 'kit')).map(({ doc }) => doc);
		return { kits, parts: [...(await partsOfKits(db, kits)).values()] };
	});
	const asCsv = url.searchParams.get('as') === 'csv';
	return new Response(asCsv ? kitsToCsv(kits) : writeKits({ kits, parts }), {
		headers: {
			'content-type': asCsv ? 'text/csv; charset=utf-8' : 'application/json',
			'content-disposition': `attachment; filename="kits.${asCsv ? 'csv' : 'json'}"`
		}
	});
}
