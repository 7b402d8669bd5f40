import { withDatabase } from '$lib/server/with-database';
import { listGauges } from '$lib/server/parts/gauges';

export const load = async () => ({ gauges: await withDatabase(listGauges) });
