/** The last signed sheet, the shop's likelihoods, the life that springs have used, and photos. */
import { withDatabase } from '$lib/server/with-database';
import { likelihoods } from '$lib/server/visits/likelihoods';
import { springLife } from '$lib/server/visits/service';
import { listPhotos } from '$lib/server/jobs/photos';
import { jobSignedBefore } from '$lib/server/signing/signed';

export const load = ({ params }) =>
	withDatabase(async (db) => ({
		then: await jobSignedBefore(db, params.id),
		likelihoods: await likelihoods(db),
		life: await springLife(db, params.id),
		photos: (await listPhotos(db, params.id)).filter(({ station }) => station === null)
	}));
