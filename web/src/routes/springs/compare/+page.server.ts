import type { LibraryPart } from '@zinc-ledger/core';
import type { Found } from '$lib/springs/sets/compare';
import { withDatabase } from '$lib/server/with-database';
import { isId } from '$lib/server/http/body';
import { findPart, listParts } from '$lib/server/parts/parts';
import { findSet, listSets, springsOf } from '$lib/server/springs/springs';

/** What is compared, and what may be. */
export const load = async ({ url }) => {
	const found = async (side: string): Promise<Found | null> => {
		const [type, id, tag = null] = (url.searchParams.get(side) ?? '').split('.');
		if (!isId(id)) return null;
		if (type === 'card') {
			const part = await withDatabase((db) => findPart(db, id));
			return part?.type === 'spring'
				? { type: 'card', card: (part as LibraryPart<'spring'>).part }
				: null;
		}
		const set = await withDatabase((db) => findSet(db, id));
		return set
			? { type: 'set', set, springs: await withDatabase((db) => springsOf(db, id, 1)), tag }
			: null;
	};
	const { cards, sets } = await withDatabase(async (db) => ({
		cards: (await listParts(db, { type: 'spring' })).filter(({ retired }) => !retired),
		sets: (await listSets(db)).sets
	}));
	return {
		a: await found('a'),
		b: await found('b'),
		cards: cards.map(({ part }) => ({ id: part.id, name: part.name })),
		sets: sets
			.filter(({ tested }) => tested > 0)
			.map(({ id, name, jobNumber }) => ({ id, name, jobNumber }))
	};
};
