/** Entries that come again: the same is let be, another under its id is refused. */
import { isDeepStrictEqual } from 'node:util';
import { message } from '@zinc-ledger/core';
import { isId } from '../http/body';

/** Something else is kept under the id of what was to be kept. */
export class AlreadyKept extends Error {
	readonly says = message('server.id-taken');
	constructor(readonly id: string) {
		super(id);
	}
}

/** Without what is undefined, and ids in the case that the database writes them in. */
const plain = (value: unknown) =>
	JSON.parse(JSON.stringify(value), (_, one: unknown) =>
		isId(one) ? one.toLowerCase() : one
	) as unknown;

/** What two entries have in common where they are the same, moments as moments. */
const comparable = <T extends { readonly at: string }>(entry: T, besides: readonly string[]) => ({
	...Object.fromEntries(
		Object.entries(plain(entry) as object).filter(([key]) => !besides.includes(key))
	),
	at: besides.includes('at') ? null : new Date(entry.at).toISOString()
});

interface Kept<E> {
	readonly entry: E;
	/** The job, or the spring, that it is kept with. */
	readonly owner: string;
}

/** Rows that go in together. */
const AT_ONCE = 500;

/**
 * Stores entries of a job or a spring, each once however often it comes.
 *
 * @param besides what the server itself adds to an entry, in which two of the same may differ
 * @param how puts entries in but for those whose id is there, and finds what is there
 * @throws {@link AlreadyKept} where something else, or another's, is kept under an id
 */
export async function once<E extends { readonly id: string; readonly at: string }>(
	owner: string,
	entries: readonly E[],
	besides: readonly string[],
	how: {
		readonly insert: (some: readonly E[]) => Promise<readonly { readonly id: string }[]>;
		readonly find: (ids: readonly string[]) => Promise<readonly Kept<E>[]>;
	}
): Promise<void> {
	for (let from = 0; from < entries.length; from += AT_ONCE) {
		const some = entries.slice(from, from + AT_ONCE);
		const fresh = await how.insert(some);
		if (fresh.length === some.length) continue;
		const kept = await how.find(some.map(({ id }) => id));
		for (const sent of some) {
			const there = kept.find(({ entry }) => entry.id.toLowerCase() === sent.id.toLowerCase());
			if (there?.owner !== owner || !isSame(there.entry, sent, besides))
				throw new AlreadyKept(sent.id);
		}
	}
}

function isSame<E extends { readonly id: string; readonly at: string }>(
	a: E,
	b: E,
	besides: readonly string[]
): boolean {
	return isDeepStrictEqual(comparable(a, besides), comparable(b, besides));
}
