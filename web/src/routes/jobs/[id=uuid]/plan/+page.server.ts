import { ask } from '$lib/server/ask';
import { listParts } from '$lib/server/parts';

export const load = async () => ({
	locks: await ask((db) => listParts(db, { sort: 'locks' }))
});
