/** One figure of several stations beside each other, as plain values: who stands apart is seen at once. */

export interface StripValue {
	readonly label: string;
	/** null where it was not measured. */
	readonly value: number | null;
}

export interface StripPoint {
	readonly label: string;
	/** Height of the point as a share of the strip's, from below; null where nothing was measured. */
	readonly at: number | null;
}

export interface Strip {
	readonly points: readonly StripPoint[];
	/** Where figures are expected, as shares of the height; null where no band is known. */
	readonly band: readonly [from: number, to: number] | null;
	/** The middle of the band. */
	readonly middle: number | null;
}

/** Part of the height left free above the highest and below the lowest of what is drawn. */
const MARGIN = 0.14;

/**
 * Lays figures out along a strip whose scale holds all of them and the band.
 *
 * @param values in one unit, in the order in which they lie along the head
 * @param limits ends of the band in the same unit; null where there is none
 * @returns null where there is nothing to draw
 * @example stripOf([{ label: '1I', value: 5 }], [4, 6])!.points[0]!.at // 0.5
 */
export function stripOf(
	values: readonly StripValue[],
	limits: readonly [from: number, to: number] | null
): Strip | null {
	const known = values.flatMap(({ value }) => (value === null ? [] : value));
	const drawn = [...known, ...(limits ?? [])];
	if (drawn.length === 0) return null;
	const [low, high] = [Math.min(...drawn), Math.max(...drawn)];
	const place = (value: number) =>
		high === low ? 0.5 : MARGIN + ((value - low) / (high - low)) * (1 - 2 * MARGIN);
	const band = limits && ([place(limits[0]), place(limits[1])] as const);
	return {
		points: values.map(({ label, value }) => ({ label, at: value === null ? null : place(value) })),
		band,
		middle: band && (band[0] + band[1]) / 2
	};
}
