/**
 * A spring's curve: load over height. From a card it is a straight line; from
 * tested points it is a monotone cubic inside the tested range and nothing
 * outside it (docs/trade/springs.md).
 */
import {
	COMPARISON_STEP,
	joules,
	mm,
	newtons,
	newtonsPerMm,
	type Joules,
	type Millimetres,
	type Newtons,
	type NewtonsPerMillimetre
} from '../../foundation/units/index.ts';

export interface Curve {
	readonly from: 'card' | 'tested';
	/** The heights between which the curve is known. */
	readonly lowest: Millimetres;
	readonly highest: Millimetres;
	/** Load at a height, or null where the curve is not known. */
	readonly load: (height: Millimetres) => Newtons | null;
	/** One standard deviation of a load of it that a tester read, as a part of the load; the usual where nobody knows. */
	readonly deviation?: number;
	/** Tested points it goes through; two of them are a line between two heights. */
	readonly points?: number;
	/** Heights that were tested, where a card's line goes on beyond them. */
	readonly tested?: { readonly lowest: Millimetres; readonly highest: Millimetres };
}

export interface Point {
	readonly height: Millimetres;
	readonly load: Newtons;
}

/**
 * A height within a curve's ends, which it may miss by no more than lengths are
 * compared to: a sweep that ends just where the valve stands at full lift is
 * tested there, whatever floating point makes of it. Null further out.
 */
function within(height: Millimetres, lowest: Millimetres, highest: Millimetres): number | null {
	const inside = Math.min(Math.max(height, lowest), highest);
	return Math.abs(inside - height) <= COMPARISON_STEP.length / 2 ? inside : null;
}

/**
 * The straight line of a spring card, known from bind to the free height that
 * the line itself implies.
 *
 * @param at one height on the card and its load
 * @param rate spring rate, positive
 * @param bind coil bind height
 *
 * @example cardCurve({ height: 1.82 in, load: 128 lbf }, 340 lbf/in, 1.18 in).load(1.815 in) // 129.7 lbf
 */
export function cardCurve(at: Point, rate: NewtonsPerMillimetre, bind: Millimetres): Curve {
	const free = mm(at.height + at.load / rate);
	return {
		from: 'card',
		lowest: bind,
		highest: free,
		load: (height) => {
			const inside = within(height, bind, free);
			return inside === null ? null : newtons(at.load + rate * (at.height - inside));
		}
	};
}

/** What is known of a spring by one load at one height: that, and nothing on either side. */
export const pointCurve = ({ height: at, load }: Point): Curve => ({
	from: 'card',
	lowest: at,
	highest: at,
	load: (height) => (within(height, at, at) === null ? null : load)
});

/** Whether a curve is one height and its load. */
export const isPoint = ({ lowest, highest }: Curve): boolean => lowest === highest;

/**
 * The rate of a card that gives two heights with their loads.
 * @throws RangeError when both heights are the same
 */
export function rateBetween(a: Point, b: Point): NewtonsPerMillimetre {
	if (a.height === b.height) throw new RangeError('two loads at one height give no rate');
	return newtonsPerMm((b.load - a.load) / (a.height - b.height));
}

/**
 * The curve through tested points: piecewise cubic Hermite, monotone where the
 * points are, with interior slopes by the weighted harmonic mean and
 * three-point ends. Source: Fritsch and Butland 1984, as in SciPy's
 * PchipInterpolator; docs/trade/springs.md.
 *
 * @param points at least two, at distinct heights, in any order
 * @throws RangeError for fewer points or repeated heights
 */
export function testedCurve(points: readonly Point[]): Curve {
	const sorted = points.toSorted((a, b) => a.height - b.height);
	const x = sorted.map((point) => point.height as number);
	const y = sorted.map((point) => point.load as number);
	if (x.length < 2) throw new RangeError('a tested curve needs two points at least');
	if (x.some((height, i) => i > 0 && height === x[i - 1])) {
		throw new RangeError('two tested points at one height');
	}
	const slope = monotoneSlopes(x, y);
	const lowest = mm(x[0]!);
	const highest = mm(x[x.length - 1]!);

	return {
		from: 'tested',
		lowest,
		highest,
		points: x.length,
		load: (height) => {
			const inside = within(height, lowest, highest);
			if (inside === null) return null;
			const i = intervalOf(x, inside);
			const width = x[i + 1]! - x[i]!;
			const t = (inside - x[i]!) / width;
			return newtons(
				y[i]! * (1 + 2 * t) * (1 - t) ** 2 +
					slope[i]! * width * t * (1 - t) ** 2 +
					y[i + 1]! * t ** 2 * (3 - 2 * t) +
					slope[i + 1]! * width * t ** 2 * (t - 1)
			);
		}
	};
}

/**
 * Returns a tested curve that continues along its card's line outside the tested range, for callers
 * that ask for it. Loads out there are not tested (docs/trade/springs.md).
 */
export function beyondTested(tested: Curve, card: Curve): Curve {
	const { lowest, highest, deviation } = tested;
	return {
		from: 'tested',
		...(deviation !== undefined && { deviation }),
		lowest: mm(Math.min(lowest, card.lowest)),
		highest: mm(Math.max(highest, card.highest)),
		load: (height) => tested.load(height) ?? card.load(height),
		tested: { lowest, highest }
	};
}

/**
 * Whether a load at this height would stand on the card's line although the spring was tested.
 *
 * @param height in mm
 */
export const isBeyondTested = ({ tested }: Curve, height: Millimetres): boolean =>
	tested !== undefined && within(height, tested.lowest, tested.highest) === null;

function intervalOf(x: readonly number[], height: number): number {
	let low = 0;
	let high = x.length - 2;
	while (low < high) {
		const middle = (low + high + 1) >> 1;
		if (x[middle]! <= height) low = middle;
		else high = middle - 1;
	}
	return low;
}

/**
 * Slopes at the points of a piecewise cubic that rises or falls wherever its points do: weighted
 * harmonic means of the secants on either side. Source: Fritsch and Butland, 1984.
 *
 * @param x ascending; `y` has as many values, two at least
 */
function monotoneSlopes(x: readonly number[], y: readonly number[]): number[] {
	const last = x.length - 1;
	const width = x.slice(1).map((value, i) => value - x[i]!);
	const secant = y.slice(1).map((value, i) => (value - y[i]!) / width[i]!);
	if (last === 1) return [secant[0]!, secant[0]!];

	const slopes = new Array<number>(x.length);
	for (let i = 1; i < last; i++) {
		const [left, right] = [secant[i - 1]!, secant[i]!];
		if (left * right <= 0) {
			slopes[i] = 0;
		} else {
			const wLeft = 2 * width[i]! + width[i - 1]!;
			const wRight = width[i]! + 2 * width[i - 1]!;
			slopes[i] = (wLeft + wRight) / (wLeft / left + wRight / right);
		}
	}
	slopes[0] = endSlope(width[0]!, width[1]!, secant[0]!, secant[1]!);
	slopes[last] = endSlope(width[last - 1]!, width[last - 2]!, secant[last - 1]!, secant[last - 2]!);
	return slopes;
}

/** The three-point end slope, held back where it would break the shape. */
function endSlope(near: number, far: number, secantNear: number, secantFar: number): number {
	const slope = ((2 * near + far) * secantNear - near * secantFar) / (near + far);
	if (Math.sign(slope) !== Math.sign(secantNear)) return 0;
	if (Math.sign(secantNear) !== Math.sign(secantFar) && Math.abs(slope) > 3 * Math.abs(secantNear))
		return 3 * secantNear;
	return slope;
}

/**
 * The height at which a curve gives a load, `F⁻¹(F)`, by bisection to well
 * under a tenth of a micrometre. A tested curve that continues along its card's line can jump
 * where the two join, so the tested range is searched first and then the line on each side.
 *
 * @returns null when no height of the curve gives the load
 */
export function heightForLoad(curve: Curve, load: Newtons): Millimetres | null {
	const { lowest, highest, tested } = curve;
	if (!tested) return heightBetween(curve, load, lowest, highest);
	const beside = COMPARISON_STEP.length;
	return (
		heightBetween(curve, load, tested.lowest, tested.highest) ??
		heightBetween(curve, load, lowest, tested.lowest - beside) ??
		heightBetween(curve, load, tested.highest + beside, highest)
	);
}

/** Returns the height between two others at which the load is reached, in mm; the load must fall all the way up. */
function heightBetween(
	curve: Curve,
	load: Newtons,
	lowest: number,
	highest: number
): Millimetres | null {
	if (lowest > highest) return null;
	let [low, high] = [lowest, highest];
	const max = curve.load(mm(low));
	const min = curve.load(mm(high));
	if (max === null || min === null || load > max || load < min) return null;
	for (let i = 0; i < 60 && high - low > 1e-9; i++) {
		const middle = (low + high) / 2;
		if (curve.load(mm(middle))! > load) low = middle;
		else high = middle;
	}
	return mm((low + high) / 2);
}

/**
 * Energy held by a spring squeezed from its free (or highest known) height to
 * `height`, `∫F dh` by Simpson's rule, in joules. On a tested curve that starts
 * below the free height, this is the part that is known: a lower bound.
 *
 * @returns null where the curve is not known at that height
 */
export function storedEnergy(curve: Curve, height: Millimetres): Joules | null {
	if (curve.load(height) === null) return null;
	const intervals = 64;
	const step = (curve.highest - height) / intervals;
	let sum = 0;
	for (let i = 0; i <= intervals; i++) {
		const weight = i === 0 || i === intervals ? 1 : i % 2 === 1 ? 4 : 2;
		const at = mm(Math.min(height + i * step, curve.highest));
		sum += weight * (curve.load(at) ?? 0);
	}
	return joules((sum * step) / 3 / 1000);
}
