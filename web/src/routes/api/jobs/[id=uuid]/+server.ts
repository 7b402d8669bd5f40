import { json } from '@sveltejs/kit';
import { withDatabase } from '$lib/server/with-database';
import { loadJob } from '$lib/server/jobs/load';
import { countedShims } from '$lib/server/parts/parts';
import { listSigned } from '$lib/server/signing/signed';
import { message } from '@zinc-ledger/core';
import { refuse } from '$lib/server/http/refuse';

/** A job whole, with the revision of its set-up and what was signed of it. */
export async function GET({ params }) {
	const [loaded, signed, shims] = await withDatabase((db) =>
		Promise.all([loadJob(db, params.id), listSigned(db, params.id), countedShims(db)])
	);
	if (!loaded) refuse(404, message('server.unknown', { what: 'job' }));
	return json({ ...loaded, signed, shims }, { headers: { 'cache-control': 'no-store' } });
}
