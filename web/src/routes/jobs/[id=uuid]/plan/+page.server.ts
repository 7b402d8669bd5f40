/** What a plan may take from: lock sets, and on a visit new springs and what the used ones were. */
import type { LibraryPart } from '@zinc-ledger/core';
import { withDatabase } from '$lib/server/with-database';
import { listParts } from '$lib/server/parts/parts';
import { springLife } from '$lib/server/visits/service';
import { jobSignedBefore } from '$lib/server/signing/signed';

export const load = ({ params }) =>
	withDatabase(async (db) => {
		const then = await jobSignedBefore(db, params.id);
		return {
			locks: (await listParts(db, { type: 'locks' })) as LibraryPart<'locks'>[],
			springs: (then ? await listParts(db, { type: 'spring' }) : []) as LibraryPart<'spring'>[],
			then,
			life: then ? await springLife(db, params.id) : []
		};
	});
