import { error } from '@sveltejs/kit';
import { ask } from '$lib/server/ask';
import { listGauges } from '$lib/server/gauges';
import { listParts } from '$lib/server/parts';
import { findSet, springsOf } from '$lib/server/springs';

export const load = async ({ params, depends }) => {
	depends(`set:${params.id}`);
	const set = await ask((db) => findSet(db, params.id));
	if (!set) error(404, 'There is no such set.');
	return ask(async (db) => ({
		set,
		springs: await springsOf(db, params.id),
		gauges: (await listGauges(db)).filter(({ gauge }) => gauge.sort === 'bench tester'),
		library: await listParts(db, { sort: 'spring' })
	}));
};
