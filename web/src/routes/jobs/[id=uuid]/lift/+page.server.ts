import { ask } from '$lib/server/ask';
import { listParts } from '$lib/server/parts';

export const load = async () => ({ library: await ask((db) => listParts(db)) });
