/** A job like another: its set-up without what was measured, counted, tested or told at that visit. */
import type { Job, KindSetup, Setup } from './schema.ts';

/** What was said of one stay in the shop, and of no other. */
const OF_ONE_STAY = [
	'customerStatement',
	'order',
	'came',
	'leftOut',
	'workLocation',
	'atHand'
] as const satisfies readonly (keyof Setup)[];

/** What belongs to one engine besides: its springs as they were tested, its follower shims. */
const OF_ONE_ENGINE = ['springs', 'followerStock'] as const satisfies readonly (keyof Setup)[];

/** The same without some of its entries. */
const without = <Of extends object, Key extends keyof Of>(of: Of, ...keys: Key[]): Omit<Of, Key> =>
	Object.fromEntries(
		Object.entries(of).filter(([name]) => !(keys as string[]).includes(name))
	) as unknown as Omit<Of, Key>;

/** The set-up as it is for the next stay of the same heads. */
export const withoutStay = (setup: Setup): Setup => ({
	...without(setup, ...OF_ONE_STAY),
	use: without(setup.use, 'workDone')
});

/** A kind's parts new from the card: no test of a set, nothing used before, nothing ground off. */
function likeNew(kind: KindSetup): KindSetup {
	const { spring, retainer } = kind;
	return {
		...without(kind, 'reused'),
		...(spring && { spring: without(spring, 'tested') }),
		...(retainer && { retainer: { ...retainer, groundOff: '0 mm' } })
	};
}

/**
 * The set-up for a job like this one: arrangement of parts, aims and limits stay; what was
 * tested, counted or told stays behind, and shims are counted anew.
 *
 * @example setupLike(job).springs // undefined
 */
export function setupLike({ setup }: Job): Setup {
	const kept = without(withoutStay(setup), ...OF_ONE_ENGINE);
	return {
		...kept,
		kinds: { intake: likeNew(kept.kinds.intake), exhaust: likeNew(kept.kinds.exhaust) },
		shimStock: kept.shimStock.map((size) => without(size, 'count'))
	};
}
