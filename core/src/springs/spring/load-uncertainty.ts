/** How well a load is known that was taken from a spring's curve (docs/trade/springs.md). */
import {
	mm,
	newtonsPerMm,
	type Millimetres,
	type NewtonsPerMillimetre
} from '../../foundation/units/index.ts';
import { NORMAL } from '../../foundation/verdict/index.ts';
import { isBeyondTested, type Curve } from './curve.ts';

/** How far either side of a height its local rate is taken over, in mm. */
const REACH = 0.4;
/**
 * A bench tester of which nothing is known, in fractions of the load: one standard deviation of a
 * reading, and the half-width of its possible error. Source: docs/trade/springs.md, a judgment call.
 */
export const UNKNOWN_TESTER = { scatter: 0.01, bias: 0.02 } as const;

/**
 * One standard deviation of a load read on a tester that was never checked.
 *
 * @param scatter one standard deviation of a reading, as a fraction of the load
 * @returns a fraction of the load
 */
export const uncheckedTester = (scatter: number = UNKNOWN_TESTER.scatter): number =>
	Math.hypot(scatter, UNKNOWN_TESTER.bias / Math.sqrt(3));
const UNCHECKED_TESTER = uncheckedTester();
/** What stands for the height's part where a card gives no rate to work it out by, as a part of the load. */
const NO_RATE = 0.05;

/**
 * The rate of a curve at a height, over 0.4 mm on either side of it: on a progressive spring it
 * is what matters.
 *
 * @returns N/mm, positive; null where the curve is not known
 */
export function localRate(curve: Curve, height: Millimetres): NewtonsPerMillimetre | null {
	const low = mm(Math.max(curve.lowest, height - REACH));
	const high = mm(Math.min(curve.highest, height + REACH));
	const [above, below] = [curve.load(low), curve.load(high)];
	if (high <= low || above === null || below === null) return null;
	if (height > curve.highest || height < curve.lowest) return null;
	return newtonsPerMm((above - below) / (high - low));
}

/**
 * Half-width of the 95 % interval of a load from a curve: the height's own interval times the
 * local rate of the curve, combined with the tester's uncertainty where the curve was tested. A
 * card without a rate leaves the height's part unknown, which never counts as zero. Source:
 * docs/trade/springs.md.
 *
 * @param height where the load is taken, within the curve
 * @param uncertainty half-width of the height's interval, in mm
 * @returns N; 0 where the curve has no load there
 * @example loadUncertainty(card of 340 lbf/in, 1.820 in, 0.002 in) // 0.68 lbf
 */
export function loadUncertainty(curve: Curve, height: Millimetres, uncertainty: number): number {
	const load = curve.load(height);
	if (load === null) return 0;
	const rate = localRate(curve, height);
	const ofHeight = rate === null ? NO_RATE * load : rate * uncertainty;
	return Math.hypot(ofHeight, testerUncertainty(curve, height));
}

/** The tester's part of {@link loadUncertainty}: 0 for a card's line, which no tester read. */
export function testerUncertainty(curve: Curve, height: Millimetres): number {
	const load = curve.load(height);
	if (load === null || curve.from !== 'tested' || isBeyondTested(curve, height)) return 0;
	return load * NORMAL * (curve.deviation ?? UNCHECKED_TESTER);
}
