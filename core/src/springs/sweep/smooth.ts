/**
 * Takes a tester's scatter off a working curve: by the simple curves that explain the
 * points within the scatter, each counting for as much as it is likely. Two sorts are
 * tried, a polynomial, and a straight line that bends at one height, at a corner
 * (where an inner spring is reached) or gently (where a cone's first coil lies down).
 * Where none explains the points, they are left as they were read.
 */
import { mm, newtons } from '../../foundation/units/index.ts';
import type { Point } from '../spring/index.ts';
import { leastSquares } from '../../foundation/least-squares/index.ts';
import type { TesterNoise } from './sweep.ts';

const DEGREES = [1, 2, 3, 4, 5];
/** A bend of power 1 is a corner, one of power 2 a gentle one. */
const BENDS = [1, 2];
/** Places tried for a bend along the sweep, which goes from −1 to 1. */
const PLACES = Array.from({ length: 10 }, (_, i) => 0.9 - (1.7 * i) / 9);
/** How far about the best of them others are tried, and then about the best of those. */
const REFINING_STEPS = [0.1, 0.05, 0.025, 0.0125, 0.00625];
/** Points that scatter about a curve by more than this, in its own terms, are not explained by it. */
const MAX_UNEXPLAINED_SCATTER = 1.8;
/** Points for each unknown, below which a curve would follow the scatter. */
const POINTS_PER_UNKNOWN = 3;
/** What each unknown must save in misfit to be worth it, as in Akaike's criterion. */
const PENALTY_PER_UNKNOWN = 3;

/** A family of curves, linear in its unknowns: the value of each part at a height from −1 to 1. */
interface Shape {
	readonly basis: (x: number) => Float64Array;
	readonly unknowns: number;
	/** With the place of a bend, which is not in the basis. */
	readonly freedom: number;
}

const polynomial = (degree: number): Shape => ({
	basis: (x) => Float64Array.from({ length: degree + 1 }, (_, power) => x ** power),
	unknowns: degree + 1,
	freedom: degree + 1
});

const bent = (at: number, power: number): Shape => ({
	basis: (x) => Float64Array.of(1, x, Math.max(0, at - x) ** power),
	unknowns: 3,
	freedom: 4
});

interface Fit {
	/** Load at each point. */
	readonly values: Float64Array;
	readonly cost: number;
	readonly isExplained: boolean;
}

function cheapest<T>(tries: readonly T[], fitOf: (one: T) => Fit | null): T | null {
	const cost = (one: T) => fitOf(one)?.cost ?? Number.POSITIVE_INFINITY;
	return tries.reduce<T | null>(
		(min, one) => (cost(one) < (min === null ? Number.POSITIVE_INFINITY : cost(min)) ? one : min),
		null
	);
}

/** The curves together, each counting for as much as it is likely: Akaike's weights. */
function averaged(fits: readonly Fit[]): Float64Array {
	const min = Math.min(...fits.map(({ cost }) => cost));
	const shares = fits.map(({ cost }) => Math.exp((min - cost) / 2));
	const all = shares.reduce((sum, share) => sum + share, 0);
	return fits[0]!.values.map((_, p) =>
		fits.reduce((sum, { values }, i) => sum + (shares[i]! / all) * values[p]!, 0)
	);
}

/** @param points tallest first */
export function smoothed(points: readonly Point[], noise: TesterNoise): Point[] {
	const count = points.length;
	const middle = (points[0]!.height + points[count - 1]!.height) / 2;
	const span = (points[0]!.height - points[count - 1]!.height) / 2 || 1;
	const places = points.map(({ height }) => (height - middle) / span);
	const loads = Float64Array.from(points, ({ load }) => load);
	const slope = (loads[count - 1]! - loads[0]!) / (2 * span);
	const min = 0.0005 * loads[count - 1]!;
	const weights = loads.map(
		(load) => 1 / ((noise.load * load) ** 2 + (slope * noise.height) ** 2 + min ** 2)
	);
	const fit = ({ basis, unknowns, freedom }: Shape): Fit | null => {
		if (count < POINTS_PER_UNKNOWN * unknowns || count <= freedom) return null;
		const rows = places.map(basis);
		const found = leastSquares(rows, loads, weights);
		if (!found) return null;
		const values = Float64Array.from(rows, (row) => {
			let value = 0;
			for (let i = 0; i < unknowns; i++) value += row[i]! * found[i]!;
			return value;
		});
		let misfit = 0;
		for (let p = 0; p < count; p++) misfit += (values[p]! - loads[p]!) ** 2 * weights[p]!;
		return {
			values,
			cost: misfit + PENALTY_PER_UNKNOWN * freedom,
			isExplained: misfit / (count - freedom) < MAX_UNEXPLAINED_SCATTER
		};
	};
	const bends = BENDS.map((power) => {
		const at = (place: number) => ({ place, fit: fit(bent(place, power)) });
		return REFINING_STEPS.reduce(
			(best, by) =>
				best && cheapest([best, at(best.place - by), at(best.place + by)], ({ fit }) => fit),
			cheapest(PLACES.map(at), ({ fit }) => fit)
		);
	});
	const fits = [
		...DEGREES.map((degree) => fit(polynomial(degree))),
		...bends.map((bend) => bend?.fit ?? null)
	];
	const explained = fits.filter((one): one is Fit => one !== null && one.isExplained);
	if (explained.length === 0) return [...points];
	const values = averaged(explained);
	const grows = values.every((value, i) => i === 0 || value > values[i - 1]!);
	return grows
		? points.map(({ height }, i) => ({ height: mm(height), load: newtons(values[i]!) }))
		: [...points];
}
