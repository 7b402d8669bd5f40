/** The last signed sheet of the head before this visit: what changed since may forbid running it. */
import { withDatabase } from '$lib/server/with-database';
import { jobSignedBefore } from '$lib/server/signing/signed';

export const load = ({ params }) =>
	withDatabase(async (db) => ({ then: await jobSignedBefore(db, params.id) }));
