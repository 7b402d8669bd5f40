import { withDatabase } from '$lib/server/with-database';
import { countedFollowerShims } from '$lib/server/parts/parts';
import { takenBy } from '$lib/server/parts/stock';

export const load = async ({ params }) => {
	const { followerShims, taken } = await withDatabase(async (db) => ({
		followerShims: await countedFollowerShims(db),
		taken: await takenBy(db, params.id)
	}));
	return { followerShims, taken: Object.fromEntries(taken) };
};
