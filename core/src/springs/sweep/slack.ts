/** The part of a sweep in which the spring carries nothing yet (docs/trade/springs.md). */
import type { Point } from '../spring/index.ts';
import { medianOf } from './robust.ts';

/** Part of the usual slope below which nothing is being pressed yet. */
const SLACK_SLOPE_PART = 0.3;
/** Part of a sweep's middle load below which a first point says nothing. */
const NEGLIGIBLE_LOAD_PART = 0.02;

/**
 * The points that carry load, tallest first. A sweep may begin above the free
 * height, where a tester reads nothing or its own zero error: such points belong
 * to no curve.
 *
 * @param points heights in mm, loads in N, tallest first
 */
export function loadedPoints<P extends Point>(points: readonly P[]): readonly P[] {
	if (points.length < 3) return points;
	const medianLoad = medianOf(points.map(({ load }) => load));
	const top = points[0]!.height;
	const usual = usualSlope(points);
	const zero = points[0]!.load;
	let first = 0;
	// As long as the loads are those of the first point but for scatter, nothing is pressed.
	for (let i = 1; i < points.length - 2; i++) {
		const run = top - points[i]!.height;
		const expected = usual * run;
		if (run > 0 && points[i]!.load - zero < SLACK_SLOPE_PART * expected) first = i + 1;
	}
	while (first < points.length - 3 && points[first]!.load < NEGLIGIBLE_LOAD_PART * medianLoad)
		first++;
	return points.slice(first);
}

/** Place of the usual slope among all: below those of a stack, above those of slack. */
const USUAL_SLOPE_QUANTILE = 0.35;

/** Slope of the working sweep between neighbours, positive. */
function usualSlope(points: readonly Point[]): number {
	const slopes = points
		.slice(1)
		.flatMap(({ height, load }, i) => {
			const run = points[i]!.height - height;
			return run > 0 ? [(load - points[i]!.load) / run] : [];
		})
		.sort((a, b) => a - b);
	return Math.max(0, slopes[Math.floor(USUAL_SLOPE_QUANTILE * (slopes.length - 1))] ?? 0);
}
