/**
 * Which shims to put under one station, out of the sizes in stock. The plan
 * for a whole head at once comes with the optimiser; this is the suggestion
 * for a single station (docs/trade/sheet.md#target-height).
 */
import { mm, toComparisonStep, type Millimetres } from '../../foundation/units/index.ts';

/** What stands for a number of shims that nobody counted: never short. */
export const UNCOUNTED = 1000;

export interface ShimStock {
	readonly thickness: Millimetres;
	readonly count: number;
	/** Hole and outside, where they are known. */
	readonly inside?: Millimetres;
	readonly outside?: Millimetres;
}

/** What a shim must go over and into; undefined where it is not known. */
export interface ShimRoom {
	readonly boss?: Millimetres | undefined;
	readonly pocket?: Millimetres | undefined;
}

/** Whether a shim is known not to go over the boss or into the pocket; what is not known says nothing. */
export const isShimTooTight = (
	{ inside, outside }: Pick<ShimStock, 'inside' | 'outside'>,
	{ boss, pocket }: ShimRoom
): boolean =>
	(inside !== undefined && boss !== undefined && isAbove(boss, inside)) ||
	(outside !== undefined && pocket !== undefined && isAbove(outside, pocket));

const isAbove = (length: Millimetres, limit: Millimetres) =>
	toComparisonStep(length - limit, 'length') > 0;

/**
 * Sizes that would lie right at a station, sizes listed twice added up.
 *
 * @returns thicknesses in mm with how many there are, those that are too tight left out
 */
export function usableShims(
	stock: readonly ShimStock[],
	room: ShimRoom
): { thickness: Millimetres; count: number }[] {
	const counts = new Map<Millimetres, number>();
	for (const shim of stock) {
		if (isShimTooTight(shim, room)) continue;
		counts.set(shim.thickness, (counts.get(shim.thickness) ?? 0) + shim.count);
	}
	return [...counts].map(([thickness, count]) => ({ thickness, count }));
}

export interface ShimQuestion {
	/** Installed height with no shims at all. */
	readonly unshimmed: Millimetres;
	/** Shims in the build now, in millimetres each. */
	readonly present: readonly Millimetres[];
	/** Height aimed for. */
	readonly aim: Millimetres;
	/** Lowest height at which the coil bind floor holds; null when not known. */
	readonly lowest: Millimetres | null;
	/** Lowest height at which the margin is not remarked on either: nothing below it is offered to a station above it. */
	readonly lowestAim?: Millimetres | null;
	readonly stock: readonly ShimStock[];
	/** Most shims under one spring. */
	readonly max: number;
	/** How far off the aim a station must be before it is shimmed at all. */
	readonly deadBand: Millimetres;
}

export type ShimAnswer =
	/** Leave the shims as they are: inside the dead band, or nothing in stock comes closer. */
	| { readonly type: 'leave'; readonly why: 'dead-band' | 'nothing-closer' }
	/** Fit these, thickest first, in place of what is there; an empty list takes all shims out. */
	| { readonly type: 'fit'; readonly shims: readonly Millimetres[]; readonly height: Millimetres }
	/** The bind floor does not hold with any stack in stock, nor with none. */
	| { readonly type: 'no-room' };

/**
 * The stack that brings a station closest to its aim without breaking the
 * bind floor; of equally close ones, the one with fewer shims. Never proposes
 * a stack that does not bring the station closer, unless the present one
 * breaks the floor. Source: docs/trade/sheet.md#target-height.
 *
 * @returns leave it, there is no room, or which shims in mm and the height they give
 */
export function suggestShims(question: ShimQuestion): ShimAnswer {
	const { unshimmed, present, aim, lowest } = question;
	const now = mm(unshimmed - sum(present));
	const holds = (height: Millimetres) =>
		lowest === null || toComparisonStep(height - lowest, 'length') >= 0;
	const offBy = (height: Millimetres) => toComparisonStep(Math.abs(height - aim), 'length');

	const { lowestAim = null } = question;
	const keepsAim = (height: Millimetres) =>
		lowestAim === null ||
		toComparisonStep(height - Math.min(lowestAim, now), 'length') >= 0 ||
		!holds(now);
	const offNow = offBy(now);
	if (holds(now) && offNow <= toComparisonStep(question.deadBand, 'length')) {
		return { type: 'leave', why: 'dead-band' };
	}

	let best: { shims: readonly Millimetres[]; height: Millimetres; off: number } | null = null;
	for (const stack of stacks(question.stock, question.max)) {
		const shims = stack.map(({ thickness }) => thickness);
		const height = mm(unshimmed - sum(shims));
		if (!holds(height) || !keepsAim(height)) continue;
		const off = offBy(height);
		if (!best || off < best.off || (off === best.off && shims.length < best.shims.length)) {
			best = { shims, height, off };
		}
	}
	if (!best) return { type: 'no-room' };
	if (holds(now) && best.off >= offNow) return { type: 'leave', why: 'nothing-closer' };
	return { type: 'fit', shims: best.shims, height: best.height };
}

/** Every stack of at most `max` shims that the stock can make, thickest first, the empty one included. */
export function stacks<S extends ShimStock>(stock: readonly S[], max: number): readonly S[][] {
	const sizes = stock
		.filter((size) => size.count > 0)
		.toSorted((a, b) => b.thickness - a.thickness);
	const all: S[][] = [];
	const extend = (stack: S[], from: number) => {
		all.push(stack);
		if (stack.length === max) return;
		for (let i = from; i < sizes.length; i++) {
			const size = sizes[i]!;
			if (stack.filter((used) => used === size).length < size.count) {
				extend([...stack, size], i);
			}
		}
	};
	extend([], 0);
	return all;
}

const sum = (lengths: readonly number[]) => lengths.reduce((total, length) => total + length, 0);
