import { ask } from '$lib/server/ask';
import { listParts } from '$lib/server/parts';
import { takenBy } from '$lib/server/stock';

export const load = async ({ params }) => {
	const { library, taken } = await ask(async (db) => ({
		library: await listParts(db),
		taken: await takenBy(db, params.id)
	}));
	return { library, taken: Object.fromEntries(taken) };
};
