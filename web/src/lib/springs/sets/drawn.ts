/** Points a chart can show apart; more would only take time to draw. */
const MAX_DRAWN = 600;

/**
 * What is drawn of a dense line between two heights: so many points as a chart
 * can show, evenly picked, the next one outside on either side kept.
 *
 * @param points in order of height, either way
 */
export function drawn<P extends readonly [height: number, load: number]>(
	points: readonly P[],
	lowest = Number.NEGATIVE_INFINITY,
	highest = Number.POSITIVE_INFINITY
): readonly P[] {
	if (points.length <= MAX_DRAWN) return points;
	const isIn = ([height]: P) => height >= lowest && height <= highest;
	const first = Math.max(0, points.findIndex(isIn) - 1);
	const last = Math.min(points.length - 1, points.findLastIndex(isIn) + 1);
	const count = Math.min(MAX_DRAWN, last - first + 1);
	return Array.from(
		{ length: count },
		(_, i) => points[first + Math.round((i * (last - first)) / Math.max(1, count - 1))]!
	);
}
