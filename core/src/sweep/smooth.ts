/**
 * Takes a tester's scatter off a working curve: the polynomial of least degree
 * that explains the points within the scatter. Where none does, the points are
 * left as they were read.
 */
import { mm, newtons } from '../units/quantity.ts';
import type { Point } from '../spring/curve.ts';
import { leastSquares } from './least-squares.ts';
import type { TesterNoise } from './sweep.ts';

const DEGREES = [1, 2, 3, 4, 5];
/** Points that scatter about a curve by more than this, in its own terms, are not explained by it. */
const EXPLAINED = 1.8;
/** Points for each unknown, below which a curve would follow the scatter. */
const POINTS_EACH = 2.5;

/** @param points tallest first */
export function smoothed(points: readonly Point[], noise: TesterNoise): Point[] {
	const count = points.length;
	const middle = (points[0]!.height + points[count - 1]!.height) / 2;
	const span = (points[0]!.height - points[count - 1]!.height) / 2 || 1;
	const loads = Float64Array.from(points, ({ load }) => load);
	const slope = (loads[count - 1]! - loads[0]!) / (2 * span);
	const least = 0.0005 * loads[count - 1]!;
	const weights = loads.map(
		(load) => 1 / ((noise.load * load) ** 2 + (slope * noise.height) ** 2 + least ** 2)
	);
	let chosen: { values: Float64Array; cost: number } | null = null;
	for (const degree of DEGREES) {
		if (count < POINTS_EACH * (degree + 1)) break;
		const basis = points.map(({ height }) =>
			Float64Array.from({ length: degree + 1 }, (_, power) => ((height - middle) / span) ** power)
		);
		const found = leastSquares(basis, loads, weights);
		if (!found) break;
		const values = Float64Array.from(basis, (row) =>
			row.reduce((sum, value, i) => sum + value * found[i]!, 0)
		);
		const misfit = values.reduce(
			(sum, value, i) => sum + (value - loads[i]!) ** 2 * weights[i]!,
			0
		);
		const cost = misfit + 2 * (degree + 1);
		const isExplained = misfit / (count - degree - 1) < EXPLAINED;
		if (isExplained && (!chosen || cost < chosen.cost)) chosen = { values, cost };
	}
	if (!chosen) return [...points];
	const { values } = chosen;
	const grows = values.every((value, i) => i === 0 || value > values[i - 1]!);
	return grows
		? points.map(({ height }, i) => ({ height: mm(height), load: newtons(values[i]!) }))
		: [...points];
}
