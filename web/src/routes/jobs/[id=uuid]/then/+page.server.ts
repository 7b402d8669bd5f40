/** The last signed sheet of the job's heads before this visit, and what their springs have run of their life. */
import { withDatabase } from '$lib/server/with-database';
import { springLife } from '$lib/server/visits/service';
import { jobSignedBefore } from '$lib/server/signing/signed';

export const load = ({ params }) =>
	withDatabase(async (db) => ({
		then: await jobSignedBefore(db, params.id),
		life: await springLife(db, params.id)
	}));
