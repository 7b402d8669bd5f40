/** Springs and retainers to try, and on a visit what its springs were. */
import { withDatabase } from '$lib/server/with-database';
import { listParts } from '$lib/server/parts/parts';
import { springLife } from '$lib/server/visits/service';
import { jobSignedBefore } from '$lib/server/signing/signed';

export const load = ({ params }) =>
	withDatabase(async (db) => ({
		springs: await listParts(db, { type: 'spring' }),
		retainers: await listParts(db, { type: 'retainer' }),
		then: await jobSignedBefore(db, params.id),
		life: await springLife(db, params.id)
	}));
