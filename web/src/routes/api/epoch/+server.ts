import { json } from '@sveltejs/kit';
import { withDatabase } from '$lib/server/with-database';
import { epochOf } from '$lib/server/jobs/strays';

/** Which database this is: another after every restore. */
export const GET = async () => json({ epoch: await withDatabase(epochOf) });
