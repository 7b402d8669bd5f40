import { withDatabase } from '$lib/server/with-database';
import { kitsOffered } from '$lib/server/parts/kits';
import { listParts } from '$lib/server/parts/parts';

export const load = async () =>
	withDatabase(async (db) => ({ parts: await listParts(db), kits: (await kitsOffered(db)).kits }));
