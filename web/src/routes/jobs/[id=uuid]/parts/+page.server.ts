import { withDatabase } from '$lib/server/with-database';
import { kitsOffered } from '$lib/server/parts/kits';
import { listParts } from '$lib/server/parts/parts';
import { takenBy } from '$lib/server/parts/stock';

export const load = async ({ params }) => {
	const { library, taken, kits } = await withDatabase(async (db) => ({
		library: await listParts(db),
		taken: await takenBy(db, params.id),
		kits: (await kitsOffered(db)).kits
	}));
	return { library, kits, taken: Object.fromEntries(taken) };
};
