/** Two springs beside each other, at the same heights or at the same lifts and never otherwise (docs/trade/sheet.md). */
import { mm, newtons, type Millimetres, type Newtons } from '../../foundation/units/index.ts';
import type { Curve } from './curve.ts';

/** A spring at work: its curve, and the height it is fitted at. */
export interface AtWork {
	readonly curve: Curve;
	readonly height: Millimetres;
}

export interface SpringComparison {
	/** From the installed height of each. */
	readonly lift: Millimetres;
	readonly heights: readonly [Millimetres, Millimetres];
	/** Null where a curve is not known. */
	readonly loads: readonly [Newtons | null, Newtons | null];
	/** The second less the first; null where either is not known. */
	readonly difference: Newtons | null;
	/** The same as a part of the first. */
	readonly part: number | null;
}

/** More rows than these nobody reads. */
export const MAX_COMPARED = 200;

/**
 * Loads of two springs at one lift. Where both are fitted at one height, that is one height too.
 *
 * @param lift in mm
 * @returns loads in N, with difference and part of the first
 */
export function comparisonAt(
	[a, b]: readonly [AtWork, AtWork],
	lift: Millimetres
): SpringComparison {
	const heights = [mm(a.height - lift), mm(b.height - lift)] as const;
	const loads = [a.curve.load(heights[0]), b.curve.load(heights[1])] as const;
	const [first, second] = loads;
	const isKnown = first !== null && second !== null;
	return {
		lift,
		heights,
		loads,
		difference: isKnown ? newtons(second - first) : null,
		part: isKnown && first > 0 ? second / first - 1 : null
	};
}

/**
 * Two springs from seat to open at even steps, the open height last.
 *
 * @param lift the whole lift in mm
 * @param step between two rows in mm
 * @throws RangeError for a step that is not positive, or of which the lift has more than 200
 */
export function comparisonOver(
	pair: readonly [AtWork, AtWork],
	lift: Millimetres,
	step: Millimetres
): SpringComparison[] {
	const count = Math.ceil(lift / step - 1e-6);
	if (!(step > 0) || count > MAX_COMPARED) throw new RangeError('no such step');
	return Array.from({ length: count + 1 }, (_, i) =>
		comparisonAt(pair, i === count ? lift : mm(i * step))
	);
}
