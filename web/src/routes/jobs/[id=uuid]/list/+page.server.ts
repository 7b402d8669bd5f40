import { message } from '@zinc-ledger/core';
import { LISTED, type Listed } from '$lib/job/round/listed';
import { withDatabase } from '$lib/server/with-database';
import { listGaugesWithRepeats } from '$lib/server/parts/gauges';
import { refuse } from '$lib/server/http/refuse';

export const load = async ({ url }) => {
	const name = url.searchParams.get('of') ?? LISTED[0];
	if (!LISTED.includes(name as Listed)) refuse(404, message('server.no-round', { name }));
	return { quantity: name as Listed, gauges: await withDatabase(listGaugesWithRepeats) };
};
