/** A set of springs over its service. */
import { message } from '@zinc-ledger/core';
import { withDatabase } from '$lib/server/with-database';
import { limitsOf } from '$lib/server/reporting/of-service';
import { refuse } from '$lib/server/http/refuse';
import { visitsOfSet } from '$lib/server/visits/service';
import { findSet } from '$lib/server/springs/springs';

export const load = ({ params }) =>
	withDatabase(async (db) => {
		const set = await findSet(db, params.id);
		if (!set) refuse(404, message('server.unknown', { what: 'set' }));
		const limits = set.card ? await limitsOf(db, [set.card.id]) : [];
		return { set, points: await visitsOfSet(db, params.id), limits };
	});
