import { withDatabase } from '$lib/server/with-database';
import { listPhotos } from '$lib/server/jobs/photos';

export const load = async ({ params }) => ({
	photos: await withDatabase((db) => listPhotos(db, params.id))
});
