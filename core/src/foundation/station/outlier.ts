/**
 * Which station stands apart from its own kind along the head. A bare height
 * far from the median of its kind exposes a sunk or pulled seat, an odd valve,
 * a forgotten locator or a gauge mistake (docs/trade/sheet.md).
 */

/** Standard deviations in one median absolute deviation of normally spread values. */
export const MAD_TO_SIGMA = 1.4826;

export interface MedianBand {
	readonly median: number;
	/** A value further than this from the median stands apart. */
	readonly reach: number;
}

/**
 * The median and the reach `max(min, factor × scaled median absolute
 * deviation)` of a set of values, all in one unit, never wider than `max`: a
 * band that two odd values have widened would hide both.
 *
 * @returns null for fewer than four values: three cannot say which one is odd
 */
export function medianBand(
	values: readonly number[],
	min: number,
	factor: number,
	max = Number.POSITIVE_INFINITY
): MedianBand | null {
	if (values.length < 4) return null;
	const center = median(values);
	const spread = MAD_TO_SIGMA * median(values.map((value) => Math.abs(value - center)));
	return { median: center, reach: Math.max(min, Math.min(max, factor * spread)) };
}

/** The middle value, or the mean of the two middle ones; NaN for an empty list. */
export function median(values: readonly number[]): number {
	const sorted = values.toSorted((a, b) => a - b);
	const half = Math.floor(sorted.length / 2);
	return sorted.length % 2 === 1
		? sorted[half]!
		: ((sorted[half - 1] ?? Number.NaN) + (sorted[half] ?? Number.NaN)) / 2;
}
