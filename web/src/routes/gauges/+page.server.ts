import { ask } from '$lib/server/ask';
import { listGauges } from '$lib/server/gauges';

export const load = async () => ({ gauges: await ask(listGauges) });
