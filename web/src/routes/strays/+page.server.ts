import { withDatabase } from '$lib/server/with-database';
import { listStrays } from '$lib/server/jobs/strays';

export const load = async () => ({ strays: await withDatabase(listStrays) });
