/** A set of springs over its service. */
import { message, UNSAID_LIMITS } from '@zinc-ledger/core';
import { ask } from '$lib/server/ask';
import { refuse } from '$lib/server/refuse';
import { trendOfSet } from '$lib/server/service';
import { findSet } from '$lib/server/springs';

export const load = ({ params }) =>
	ask(async (db) => {
		const set = await findSet(db, params.id);
		if (!set) refuse(404, message('server.unknown', { what: 'set' }));
		return { set, points: await trendOfSet(db, params.id), sag: UNSAID_LIMITS.sagStop };
	});
