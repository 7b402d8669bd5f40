/** Where a spring, or a set of springs in each other, goes solid. */
import { mm, type Millimetres } from '../../foundation/units/index.ts';

export const COILS = ['outer', 'inner', 'third'] as const;
export type Coil = (typeof COILS)[number];

export interface Bind {
	/** Coil bind height in terms of the outer spring's installed height. */
	readonly height: Millimetres;
	/** Which coil stops the valve; null for a single spring, or where it is not known. */
	readonly first: Coil | null;
	/** Half-width of its 95 % interval; 0 where it is not known. */
	readonly uncertainty: Millimetres;
}

/** One coil of a set: its own solid height, and how much lower than the outer it rides. */
export interface SolidCoil {
	readonly coil: Coil;
	readonly solid: Millimetres;
	/** Retainer step and locator rise together; 0 for the outer. */
	readonly lower: Millimetres;
}

/**
 * The height at which springs in each other go solid: the greatest of `solid +
 * retainer step + locator rise`, in terms of the outer's height. A retainer with
 * a deeper step can make a set bind well before its card says. Source: docs/trade/sheet.md.
 *
 * @param coils the outer first, at least one
 * @throws RangeError without a coil
 *
 * @example outer 1.150 in, inner 1.060 in, step 0.105 in, no rise: 1.165 in, inner first
 */
export function firstToBind(coils: readonly SolidCoil[]): Pick<Bind, 'height' | 'first'> {
	if (coils.length === 0) throw new RangeError('a spring has a coil');
	const heights = coils.map(({ coil, solid, lower }) => ({ coil, height: mm(solid + lower) }));
	const first = heights.reduce((a, b) => (b.height > a.height ? b : a));
	return { height: first.height, first: coils.length === 1 ? null : first.coil };
}
