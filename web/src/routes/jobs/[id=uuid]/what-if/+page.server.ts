import { ask } from '$lib/server/ask';
import { listParts } from '$lib/server/parts';

export const load = async () => ({
	springs: await ask((db) => listParts(db, { sort: 'spring' }))
});
