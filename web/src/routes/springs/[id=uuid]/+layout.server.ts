import { ask } from '$lib/server/ask';
import { listGauges } from '$lib/server/gauges';
import { listParts } from '$lib/server/parts';
import { findSet, springsOf } from '$lib/server/springs';
import { message } from '@zinc-ledger/core';
import { refuse } from '$lib/server/refuse';

export const load = async ({ params, depends }) => {
	depends(`set:${params.id}`);
	const set = await ask((db) => findSet(db, params.id));
	if (!set) refuse(404, message('server.unknown', { what: 'set' }));
	return ask(async (db) => ({
		set,
		springs: await springsOf(db, params.id),
		gauges: (await listGauges(db)).filter(({ gauge }) => gauge.sort === 'bench-tester'),
		library: await listParts(db, { sort: 'spring' })
	}));
};
