/** A job like another: its set-up without what was measured, counted, tested or told at that visit. */
import type { Job, KindSetup, Setup } from './schema.ts';

/** What belongs to one visit, and to no other job of the same sort. */
const OF_THE_VISIT = [
	'springs',
	'followerStock',
	'customerStatement',
	'order',
	'came',
	'leftOut',
	'workLocation',
	'atHand'
] as const satisfies readonly (keyof Setup)[];

/** The same without one of its entries. */
function without<Of extends object, Key extends keyof Of>(of: Of, key: Key): Omit<Of, Key> {
	const { [key]: _, ...rest } = of;
	return rest;
}

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
	const kept = Object.fromEntries(
		Object.entries(setup).filter(([name]) => !(OF_THE_VISIT as readonly string[]).includes(name))
	) as unknown as Setup;
	return {
		...kept,
		use: without(kept.use, 'workDone'),
		kinds: { intake: likeNew(kept.kinds.intake), exhaust: likeNew(kept.kinds.exhaust) },
		shimStock: kept.shimStock.map((size) => without(size, 'count'))
	};
}
