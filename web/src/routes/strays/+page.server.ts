import { ask } from '$lib/server/ask';
import { listStrays } from '$lib/server/strays';

export const load = async () => ({ strays: await ask(listStrays) });
