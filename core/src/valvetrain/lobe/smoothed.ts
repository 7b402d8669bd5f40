/**
 * A smooth curve through rounded figures that can be differentiated, with how far its
 * derivatives can be trusted: a penalised spline whose smoothness is the one that the figures
 * themselves make most likely, given how they were rounded (docs/trade/valvetrain.md#control).
 *
 * The penalty is on fourth differences, and lighter where a first pass found them large: a
 * lobe is smooth over its nose and turns sharply where the flank meets the ramp. Sources:
 * Eilers and Marx 1996 for the spline, Wahba 1985 for its smoothness and its interval.
 */
import { cellOf, derivativeWeights, differences, splineAt, type EvenSpline } from './b-spline.ts';
import { goldenSection } from './golden-section.ts';
import { factored, solved, varianceOf, type Factored, type Row } from './least-squares.ts';

export interface Smoothed {
	/** Value or derivative at a place. */
	readonly at: (place: number, order?: number) => number;
	/** Half-width of the 95 % interval of a derivative there. */
	readonly uncertainty: (place: number, order: number) => number;
	/** Root mean square of figures less curve. */
	readonly residual: number;
}

const DEGREE = 5;
const ORDER = 4;
const BAND = DEGREE + 1;
/** Passes that fit the penalty to the curve, over how far they average, and how much they trust it. */
const PASSES = 2;
const REACH = 12;
const SHARPEST = 0.001;
const TRUST = 0.75;
/** Strengths of the penalty, as logarithms, between which the likeliest is looked for. */
const STRENGTHS = { min: 0, max: 60, step: 4, about: 4, narrowed: 10 } as const;
/**
 * Half-width of a 95 % interval over a standard deviation. That of a normal distribution is
 * 1.96; half as much again stands for what smoothing bends, which no scatter shows: so wide it
 * held the truth of at least 95 of 100 tables that were rounded from known lobes.
 */
const WIDTH = 1.5 * 1.96;

/**
 * @param places ascending, and the values there
 * @param scatter standard deviation of a value
 * @param cell width of the spline's cells; no more than the distance between places is of use
 */
export function smoothed(
	places: readonly number[],
	values: readonly number[],
	scatter: number,
	cell: number
): Smoothed {
	const from = places[0]!;
	const cells = Math.max(1, Math.round((places.at(-1)! - from) / cell));
	const width = (places.at(-1)! - from) / cells;
	const unknowns = cells + DEGREE;
	const figures = places.map((place, i): Row => {
		const { index, t } = cellOf(place, from, width, cells);
		const weights = derivativeWeights(DEGREE, 0, t).map((weight) => weight / scatter);
		return { from: index, weights, value: values[i]! / scatter };
	});
	const fit = fitted(figures, unknowns, Math.max(1, Math.round(REACH / width)));
	const spline: EvenSpline = { degree: DEGREE, from, cell: width, coefficients: solved(fit) };
	const off = places.map((place, i) => splineAt(spline, place) - values[i]!);
	return {
		at: (place, order = 0) => splineAt(spline, place, order),
		uncertainty: (place, order) => {
			const { index, t } = cellOf(place, from, width, cells);
			const weights = derivativeWeights(DEGREE, order, t);
			return (WIDTH * Math.sqrt(varianceOf(fit, { from: index, weights }))) / width ** order;
		},
		residual: Math.sqrt(off.reduce((sum, one) => sum + one * one, 0) / off.length)
	};
}

/** Fits with the likeliest penalty, then with one that is lighter where the curve turns sharply. */
function fitted(figures: readonly Row[], unknowns: number, reach: number): Factored {
	const penalties = Array.from({ length: unknowns - ORDER }, (_, from) => from);
	let lightness: Float64Array = new Float64Array(penalties.length).fill(1);
	const rows = [...figures, ...penalties].toSorted((a, b) => startOf(a) - startOf(b));
	const withPenalty = (strength: number): Factored => {
		const strong = Math.exp(strength / 2);
		const weighed = rows.map((row): Row =>
			typeof row === 'number'
				? { from: row, weights: FOURTH, value: 0, factor: strong / lightness[row]! }
				: row
		);
		return factored(weighed, unknowns, BAND);
	};
	/** Grows as the figures become less likely with such a penalty, the curve itself averaged over. */
	const unlikely = (strength: number) => {
		const { left, logDeterminant } = withPenalty(strength);
		return left + logDeterminant - lightness.length * strength;
	};
	let strength = likeliest(unlikely);
	for (let pass = 0; pass < PASSES; pass++) {
		lightness = lightnessOf(solved(withPenalty(strength)), reach);
		strength = likeliest(unlikely, strength);
	}
	return withPenalty(strength);
}

const FOURTH = differences(ORDER);
const startOf = (row: Row | number) => (typeof row === 'number' ? row : row.from);

/** The likeliest strength, looked for over all of them, or about one. */
function likeliest(unlikely: (strength: number) => number, about?: number): number {
	const { min, max, step, narrowed } = STRENGTHS;
	let best = about ?? min;
	if (about === undefined) {
		const all = Array.from({ length: (max - min) / step + 1 }, (_, i) => min + i * step);
		const cost = all.map(unlikely);
		best = all[cost.indexOf(Math.min(...cost))]!;
	}
	return goldenSection(unlikely, best - STRENGTHS.about, best + STRENGTHS.about, narrowed);
}

/** How large fourth differences are about each, their root mean square over the reach, with a middle of one. */
function lightnessOf(coefficients: Float64Array, reach: number): Float64Array {
	const squares = Array.from({ length: coefficients.length - ORDER }, (_, i) =>
		FOURTH.reduce((sum, weight, j) => sum + weight * coefficients[i + j]!, 0)
	).map((difference) => difference ** 2);
	const about = squares.map((_, i) => {
		let [sum, weights] = [0, 0];
		for (let j = Math.max(0, i - reach); j <= Math.min(squares.length - 1, i + reach); j++) {
			const weight = 1 - Math.abs(j - i) / (reach + 1);
			sum += weight * squares[j]!;
			weights += weight;
		}
		return sum / weights;
	});
	const mean = about.reduce((sum, one) => sum + one, 0) / about.length;
	return Float64Array.from(about, (one) => (one / mean + SHARPEST) ** (TRUST / 2));
}
