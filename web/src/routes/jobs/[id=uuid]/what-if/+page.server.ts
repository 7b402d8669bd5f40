import { ask } from '$lib/server/ask';
import { listParts } from '$lib/server/parts';

export const load = () =>
	ask(async (db) => ({
		springs: await listParts(db, { sort: 'spring' }),
		retainers: await listParts(db, { sort: 'retainer' })
	}));
