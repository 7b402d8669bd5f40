import { withDatabase } from '$lib/server/with-database';
import { listGauges } from '$lib/server/gauges';

export const load = async () => ({ gauges: await withDatabase(listGauges) });
