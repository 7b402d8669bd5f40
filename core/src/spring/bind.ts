/** Where a spring, or a pair of springs, goes solid. */
import { mm, type Millimetres } from '../units/quantity.ts';

export interface Bind {
	/** Coil bind height in terms of the outer spring's installed height. */
	readonly height: Millimetres;
	/** Which coil stops the valve; null for a single spring. */
	readonly first: 'outer' | 'inner' | null;
}

/**
 * The height at which a pair goes solid: `max(outer solid, inner solid +
 * retainer step + locator inner rise)`, in terms of the outer's height. A
 * retainer with a deeper step can make a pair bind well before its card says.
 * Source: handbook §3.
 *
 * @param inner the inner spring's own solid height; null for a single spring
 *
 * @example outer 1.150 in, inner 1.060 in, step 0.105 in, no rise: 1.165 in, inner first
 */
export function pairBind(
	outer: Millimetres,
	inner: Millimetres | null,
	retainerStep: Millimetres,
	innerRise: Millimetres
): Bind {
	if (inner === null) return { height: outer, first: null };
	const innerInOuterTerms = mm(inner + retainerStep + innerRise);
	return innerInOuterTerms > outer
		? { height: innerInOuterTerms, first: 'inner' }
		: { height: outer, first: 'outer' };
}
