/** What was signed of the head before, what the shop weighs by, and the photos of what was seen. */
import { withDatabase } from '$lib/server/with-database';
import { likelihoods } from '$lib/server/visits/likelihoods';
import { listPhotos } from '$lib/server/jobs/photos';
import { jobSignedBefore } from '$lib/server/signing/signed';

export const load = ({ params }) =>
	withDatabase(async (db) => ({
		then: await jobSignedBefore(db, params.id),
		likelihoods: await likelihoods(db),
		photos: (await listPhotos(db, params.id)).filter(({ station }) => station === null)
	}));
