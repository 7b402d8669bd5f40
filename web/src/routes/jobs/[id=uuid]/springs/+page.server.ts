import { ask } from '$lib/server/with-database';
import { kitsOffered } from '$lib/server/kits';
import { listParts } from '$lib/server/parts';

export const load = async () =>
	ask(async (db) => ({ parts: await listParts(db), kits: (await kitsOffered(db)).kits }));
