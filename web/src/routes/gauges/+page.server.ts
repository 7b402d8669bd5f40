import { ask } from '$lib/server/with-database';
import { listGauges } from '$lib/server/gauges';

export const load = async () => ({ gauges: await ask(listGauges) });
