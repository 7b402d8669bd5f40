/**
 * Shims of shim-type followers: which go where, so that the fewest new ones are
 * wanted (docs/trade/valvetrain.md#lash). Exact, as an assignment of stations to shims.
 */
import { assignment } from '../../../planning/solver/index.ts';
import { mm, toComparisonStep, type Millimetres } from '../../../foundation/units/index.ts';

export interface Follower {
	readonly label: string;
	/** Shim in it now. */
	readonly shim: Millimetres;
	readonly measured: Millimetres;
	readonly wanted: Millimetres;
	readonly tolerance: Millimetres;
}

export interface SwapStep {
	readonly label: string;
	/** The shim it is to have. */
	readonly shim: Millimetres;
	readonly from:
		| { readonly type: 'stays' }
		| { readonly type: 'station'; readonly label: string }
		| { readonly type: 'stock' }
		/** Neither in the engine nor on the shelf. */
		| { readonly type: 'order' };
	/** Lash it will have. */
	readonly lash: Millimetres;
	/** How far that is outside the tolerance: shims come in steps, and none comes closer; 0 within it. */
	readonly misses: Millimetres;
}

/** The shim that would set the lash exactly: old + (measured − wanted). Source: docs/trade/valvetrain.md#lash. */
export const exactShim = ({ shim, measured, wanted }: Follower): Millimetres =>
	mm(shim + measured - wanted);

/** Shims are made in steps of this much, unless the shelf says otherwise. */
const STEP = 0.05;

/** Costs in order of weight: to be ordered, off the shelf, moved, and micrometres off the wanted lash. */
const ORDERED = 1e12;
const NEW = 1e9;
const MOVED = 1e6;

/**
 * A shim for every follower, its lash within tolerance: the fewest that must be
 * ordered, then the fewest new ones off the shelf, then the fewest moved, then
 * the least sum of distances from the wanted lash.
 */
export function swapPlan(
	followers: readonly Follower[],
	stock: readonly { readonly thickness: Millimetres; readonly count: number }[]
): SwapStep[] {
	const count = followers.length;
	const shelf = stock.flatMap(({ thickness, count: there }) =>
		Array.from({ length: Math.min(there, count) }, () => thickness)
	);
	const inHand = [...followers.map(({ shim }) => shim), ...shelf];
	const off = (follower: Follower, shim: Millimetres) => Math.abs(exactShim(follower) - shim);
	const isWithin = (follower: Follower, shim: Millimetres) =>
		toComparisonStep(follower.tolerance - off(follower, shim), 'length') >= 0;
	const cost = followers.map((follower, row) => {
		const costs = new Float64Array(inHand.length + count).fill(Number.POSITIVE_INFINITY);
		inHand.forEach((shim, column) => {
			if (!isWithin(follower, shim)) return;
			const weight = column === row ? 0 : column < count ? MOVED : NEW;
			costs[column] = weight + Math.round(off(follower, shim) * 1000);
		});
		const ordered = orderedShim(follower);
		costs[inHand.length + row] = ORDERED + Math.round(off(follower, ordered) * 1000);
		return costs;
	});
	// One of its own to be ordered is always there for every row.
	const columnOf = assignment(cost) ?? [];
	return followers.map((follower, row): SwapStep => {
		const column = columnOf[row]!;
		const shim = inHand[column] ?? orderedShim(follower);
		const from: SwapStep['from'] =
			column === row
				? { type: 'stays' }
				: column < count
					? { type: 'station', label: followers[column]!.label }
					: column < inHand.length
						? { type: 'stock' }
						: { type: 'order' };
		return {
			label: follower.label,
			shim,
			from,
			lash: mm(follower.measured + follower.shim - shim),
			misses: mm(Math.max(0, toComparisonStep(off(follower, shim) - follower.tolerance, 'length')))
		};
	});
}

const orderedShim = (follower: Follower) =>
	mm(Math.round(Math.round(exactShim(follower) / STEP) * STEP * 1e6) / 1e6);
