/** Curves and lines through points of which one may be misread. */
import type { Point } from '../spring/index.ts';
import { leastSquares } from '../../foundation/least-squares/index.ts';
import type { TesterNoise } from './sweep.ts';

export interface Curve {
	readonly value: (height: number) => number;
	/** dF/dh, negative for a spring. */
	readonly slope: (height: number) => number;
}

/** Standard deviations beyond which a point is misread, and counts for nothing. */
const MISREAD_SIGMAS = 5;
/** Rounds of reweighting after which the fit no longer changes. */
const MAX_ROUNDS = 4;
/** Median deviations from a plain line beyond which a point is left out to begin with. */
const FIRST_CUT_DEVIATIONS = 8;

/**
 * The polynomial through points, of as many degrees as they can bear, those misread
 * left out; null where there are too few.
 *
 * @param sigma standard deviation of a load, with the slope there
 * @param max greatest degree
 */
export function polynomialThrough(
	points: readonly Point[],
	sigma: (load: number, slope: number) => number,
	max = 2
): Curve | null {
	const count = points.length;
	const degree = Math.min(max, count >= 6 ? 2 : 1);
	if (count < 3) return null;
	const middle = (points[0]!.height + points[count - 1]!.height) / 2;
	const span = (points[0]!.height - points[count - 1]!.height) / 2 || 1;
	const basis = points.map(({ height }) => {
		const x = (height - middle) / span;
		return Float64Array.from({ length: degree + 1 }, (_, power) => x ** power);
	});
	const loads = Float64Array.from(points, ({ load }) => load);
	const usual = Math.abs(medianSlope(points));
	// Begins without what stands far out of a plain line: least squares would bend towards it.
	const plain = loads.map((load, p) => load - usual * (middle - points[p]!.height));
	const centre = medianOf([...plain]);
	const spread = medianOf([...plain].map((one) => Math.abs(one - centre)));
	let weights = loads.map((load, p) => {
		const isOut =
			Math.abs(plain[p]! - centre) > FIRST_CUT_DEVIATIONS * Math.max(spread, sigma(load, usual));
		return isOut ? 1e-9 : 1 / sigma(load, usual) ** 2;
	});
	let found: Float64Array | null = null;
	for (let round = 0; round < MAX_ROUNDS; round++) {
		found = leastSquares(basis, loads, weights);
		if (!found) return null;
		const off = loads.map((load, p) => (load - dot(basis[p]!, found!)) / sigma(load, usual));
		// Scatter beyond the tester's own is everybody's; what stands out of it is misread.
		const scale = Math.max(1, 1.4826 * medianOf([...off].map(Math.abs)));
		const next = loads.map((load, p) =>
			Math.abs(off[p]!) > MISREAD_SIGMAS * scale ? 1e-9 : 1 / sigma(load, usual) ** 2
		);
		if (next.every((weight, p) => weight === weights[p])) break;
		weights = next;
	}
	const [a = 0, b = 0, c = 0] = found!;
	return {
		value: (height) => {
			const x = (height - middle) / span;
			return a + b * x + c * x * x;
		},
		slope: (height) => (b + (2 * c * (height - middle)) / span) / span
	};
}

/** Points on either side of one that say where it should lie. */
const NEIGHBORS_EACH_SIDE = 4;
/** Standard deviations from its neighbours' curve beyond which a point is misread. */
const LONE_MISREAD_SIGMAS = 8;
/** No more than this part of a sweep is misread; more is how the spring is. */
const MAX_MISREAD_PART = 0.06;

/**
 * The points without those that their neighbours on both sides say were misread.
 *
 * @param noise of the tester: height in mm, load as a part of itself
 * @returns the points as they are where too few are there to tell, or too many would go
 */
export function withoutMisread(
	points: readonly Point[],
	noise: { readonly height: number; readonly load: number }
): readonly Point[] {
	if (points.length < 2 * NEIGHBORS_EACH_SIDE) return points;
	const max = points.at(-1)!.load;
	const sigma = (load: number, slope: number) =>
		Math.hypot(noise.load * load, slope * noise.height, 0.0005 * max);
	const isMisread = points.map((point, i) => {
		const around = points.filter((_, k) => k !== i && Math.abs(k - i) <= NEIGHBORS_EACH_SIDE);
		const curve = polynomialThrough(around, sigma);
		if (!curve || i === 0 || i === points.length - 1) return false;
		const off = Math.abs(point.load - curve.value(point.height));
		return off > LONE_MISREAD_SIGMAS * sigma(point.load, curve.slope(point.height));
	});
	const misread = isMisread.filter(Boolean).length;
	return misread > Math.max(1, MAX_MISREAD_PART * points.length)
		? points
		: points.filter((_, i) => !isMisread[i]);
}

export interface Line {
	readonly load: (height: number) => number;
	readonly height: (load: number) => number;
	/** Newtons a millimetre, positive: load grows as the height falls. */
	readonly slope: number;
	/** The least it could be, two standard deviations down. */
	readonly min: number;
	/** Standard deviation of its height at a load. */
	readonly error: (load: number) => number;
}

/**
 * The line through points of a stack, which rise so steeply that it is their
 * heights that scatter; null where they do not rise.
 *
 * @param noise standard deviation of a height, in millimetres, and of a load, as a part of it
 */
export function lineThrough(points: readonly Point[], noise: TesterNoise): Line | null {
	if (points.length < 2) return null;
	const plain = fitted(points, () => 1);
	if (!(plain.give > 0)) return null;
	// The more load, the less a height is known by it.
	const weight = (load: number) =>
		noise.height ** 2 / (noise.height ** 2 + (noise.load * load * plain.give) ** 2);
	const { sum, squares, height, load, give } = fitted(points, weight);
	if (!(give > 0)) return null;
	const misfit = points.reduce(
		(all, one) => all + weight(one.load) * (one.height - height + give * (one.load - load)) ** 2,
		0
	);
	const sigma = Math.max(noise.height, Math.sqrt(misfit / Math.max(1, points.length - 2)));
	return {
		slope: 1 / give,
		min: 1 / (give + (2 * sigma) / Math.sqrt(squares)),
		load: (at) => load + (height - at) / give,
		height: (at) => height - give * (at - load),
		error: (at) => sigma * Math.sqrt(1 / sum + (at - load) ** 2 / squares)
	};
}

/** Weighted means of height and load, and the height given up for each newton. */
function fitted(points: readonly Point[], weight: (load: number) => number) {
	const all = (of: (point: Point) => number) =>
		points.reduce((sum, point) => sum + weight(point.load) * of(point), 0);
	const sum = all(() => 1);
	const [height, load] = [all((one) => one.height) / sum, all((one) => one.load) / sum];
	const squares = all((one) => (one.load - load) ** 2);
	const give = -all((one) => (one.load - load) * (one.height - height)) / squares;
	return { sum, squares, height, load, give };
}

const dot = (a: Float64Array, b: Float64Array) => a.reduce((sum, one, i) => sum + one * b[i]!, 0);

/** The middle value, or the mean of the two about it; in the unit of the values, NaN for none. */
export function medianOf(values: readonly number[]): number {
	const sorted = values.toSorted((a, b) => a - b);
	const half = sorted.length >> 1;
	return sorted.length % 2 === 1 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2;
}

/** Median dF/dh of all pairs of neighbours. */
export const medianSlope = (points: readonly Point[]): number =>
	medianOf(
		points
			.slice(1)
			.map(({ height, load }, i) => (load - points[i]!.load) / (height - points[i]!.height))
	);
