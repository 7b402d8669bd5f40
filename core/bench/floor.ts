/**
 * How well a load can be told at all: the Cramér–Rao bound of one who knows how a
 * made-up spring behaves and has only its figures to find.
 */
import { leastSquares } from '../src/foundation/least-squares/index.ts';
import type { ModelType, SpringModel } from '../src/springs/sweep/synthetic.ts';
import type { TesterNoise } from '../src/springs/sweep/sweep.ts';

/** By what the load at a height changes, for each figure of a spring that is to be found. */
const CHANGES: Record<ModelType, (x: number, belowBend: number) => number[]> = {
	linear: (x) => [1, x],
	progressive: (x) => [1, x, x ** 2, x ** 3],
	dual: (x, below) => [1, x, below, Math.sign(below)],
	cone: (x, below) => [1, x, below ** 2, below]
};

/**
 * Least standard deviation of a load at a height, as part of that load, for any
 * unbiased reading of a sweep at these heights.
 */
export function loadFloor(
	spring: SpringModel,
	heights: readonly number[],
	noise: TesterNoise,
	at: number
): number {
	const { type, free, solid, bend = Number.NEGATIVE_INFINITY } = spring;
	const span = (free - solid) / 2;
	const working = heights.filter((h) => h > solid);
	// A bend that the sweep begins under, or with a point to spare, is not seen in it.
	const seen = type === 'dual' && working.filter((h) => h > bend).length < 2 ? 'linear' : type;
	const row = (h: number) =>
		Float64Array.from(CHANGES[seen]((free - span - h) / span, Math.max(0, bend - h) / span));
	const slope = (h: number) => (spring.load(h - 0.01) - spring.load(h + 0.01)) / 0.02;
	const weights = Float64Array.from(
		working,
		(h) => 1 / ((noise.load * spring.load(h)) ** 2 + (noise.height * slope(h)) ** 2)
	);
	// The variance is rᵀ M⁻¹ r: each point's weight on the load at this height, squared and summed.
	const rows = working.map(row);
	const target = row(at);
	const variance = working.reduce((sum, _, p) => {
		const unit = Float64Array.from(working, (_, i) => Number(i === p));
		const found = leastSquares(rows, unit, weights);
		if (!found) return Number.NaN;
		const pull = found.reduce((all, one, i) => all + one * target[i]!, 0);
		return sum + pull ** 2 / weights[p]!;
	}, 0);
	return Math.sqrt(variance) / spring.load(at);
}
