/** What a plan may take from, part by part: shims of each size, lock sets, new springs of each card. */
import { message, type Message } from '../../../foundation/message/index.ts';
import { lengthOf } from '../../../foundation/units/index.ts';
import type { ShimStock } from '../../../parts/shim/index.ts';
import { partsOf, type Job, type StationEntry } from '../../../job/document/index.ts';
import type { BuildOption } from './builds.ts';
import type { LockStock, NewSprings } from './types.ts';

export interface Stock {
	readonly sizes: readonly ShimStock[];
	readonly locks: readonly LockStock[];
	readonly springs: readonly NewSprings[];
	/** How many there are of each of these, in this order, and what each is called. */
	readonly counts: readonly number[];
	readonly names: readonly Message[];
}

/** New springs of the shelf with those that stand in heads already, untested: they may change places too. */
export const withThoseInHeads = (
	springs: readonly NewSprings[],
	{ setup, stations }: Pick<Job, 'setup' | 'stations'>,
	isFixed: ReadonlySet<string>
): NewSprings[] =>
	springs.map(({ card, name, count }) => {
		const inHeads = stations.filter(
			(entry) =>
				entry.newSpring && !isFixed.has(entry.label) && partsOf(setup, entry).spring?.id === card
		);
		return { card, name, count: count === null ? null : count + inHeads.length };
	});

/** The stock of a plan; of what nobody counts there is one for every station. */
export const stockOf = (
	sizes: readonly ShimStock[],
	locks: readonly LockStock[],
	springs: readonly NewSprings[],
	{ stations }: Pick<Job, 'stations'>
): Stock => ({
	sizes,
	locks,
	springs,
	counts: [
		...sizes.map(({ count }) => count),
		...locks.map(({ count }) => count),
		...springs.map(({ count }) => count ?? stations.length)
	],
	names: [
		...sizes.map(({ thickness }) => message('part.shim', { thickness })),
		...locks.map(({ locks: { name } }) => message('name', { name })),
		...springs.map(({ name }) => message('part.new-spring', { name }))
	]
});

/** Lock sets of the shelf that the plan may take. */
export const locksToTake = (stock: readonly LockStock[]) =>
	stock.flatMap(({ locks, count, excluded }) => (count > 0 && !excluded ? [locks] : []));

/**
 * What a build takes of the stock: index and how many.
 *
 * @param card of the new spring that it takes; null where it takes none
 */
export function takesOf(
	build: BuildOption,
	{ sizes, locks, springs }: Stock,
	card: string | null
): (readonly [number, number])[] {
	const takes = sizes.flatMap((size, part): (readonly [number, number])[] => {
		const count = build.sizes.filter((one) => one === size).length;
		return count > 0 ? [[part, count]] : [];
	});
	const lock = locks.findIndex((one) => one.locks === build.locks);
	const spring = springs.findIndex((one) => one.card === card);
	if (lock >= 0) takes.push([sizes.length + lock, 1]);
	if (spring >= 0) takes.push([sizes.length + locks.length + spring, 1]);
	return takes;
}

/** The shelf, alike sizes added up, and what is under the stations already and comes free. */
export function poolOf(
	stations: readonly StationEntry[],
	stock: readonly ShimStock[]
): ShimStock[] {
	const pool: { -readonly [K in keyof ShimStock]: ShimStock[K] }[] = [];
	for (const size of stock) {
		const alike = pool.find(
			({ thickness, inside, outside }) =>
				thickness === size.thickness && inside === size.inside && outside === size.outside
		);
		if (alike) alike.count += size.count;
		else pool.push({ ...size });
	}
	for (const { shims } of stations) {
		for (const shim of shims) {
			const thickness = lengthOf(shim);
			const alike = pool.find((size) => size.thickness === thickness);
			if (alike) alike.count++;
			else pool.push({ thickness, count: 1 });
		}
	}
	return pool;
}
