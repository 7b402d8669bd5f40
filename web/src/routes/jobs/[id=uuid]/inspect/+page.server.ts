import { ask } from '$lib/server/with-database';
import { listPhotos } from '$lib/server/photos';

export const load = async ({ params }) => ({
	photos: await ask((db) => listPhotos(db, params.id))
});
