/** How well a figure is known: gauge, repeats and correction together (docs/trade/springs.md). */

/** How far a gauge repeats, and how well that is known. */
export interface Repeatability {
	/** One standard deviation of a single reading. */
	readonly deviation: number;
	/** Degrees of freedom it is known by; infinite where the shop states it. */
	readonly freedom: number;
}

/** What makes a figure uncertain, all in the figure's own unit. */
export interface Scatter {
	/** Of the gauge: a uniform distribution, resolution ÷ √12. */
	readonly resolution: number;
	/** Readings that the figure is the mean of; one unless said. */
	readonly count?: number;
	/** How far a single reading of one person repeats. */
	readonly repeatability?: Repeatability | null;
	/** How far the means of different people lie apart; repeats never shrink it. */
	readonly betweenPeople?: Repeatability | null;
	/** One standard deviation of the gauge's correction. */
	readonly correction?: number;
	/** What a gauge that was never checked reads wrong by at most, on either side. */
	readonly bias?: number;
}

/**
 * Half-width of the 95 % interval of a figure. Its variance is
 * `s_r²/n + s_P² + resolution²/12 + u_correction² + bias²/3`; the factor is Student's for the
 * effective degrees of freedom (Welch–Satterthwaite, rounded down). Source: docs/trade/springs.md.
 *
 * @example expandedUncertainty({ resolution: 0.0254 }) // 0.01437 mm: a gauge reading 0.001 in
 */
export function expandedUncertainty({
	resolution,
	count = 1,
	repeatability = null,
	betweenPeople = null,
	correction = 0,
	bias = 0
}: Scatter): number {
	const rounding = resolution / Math.sqrt(12);
	// Readings that are rounded alike say nothing of a scatter that the rounding hides.
	const single = Math.max(repeatability?.deviation ?? 0, repeatability ? HIDDEN * rounding : 0);
	const repeated = single ** 2 / count;
	const people = (betweenPeople?.deviation ?? 0) ** 2;
	const variance = repeated + people + rounding ** 2 + correction ** 2 + bias ** 2 / 3;
	if (variance === 0) return 0;
	// One estimate used for both counts its degrees of freedom once, for their sum.
	const estimated =
		repeatability && repeatability === betweenPeople
			? (repeated + people) ** 2 / repeatability.freedom
			: repeated ** 2 / (repeatability?.freedom ?? Infinity) +
				people ** 2 / (betweenPeople?.freedom ?? Infinity);
	const freedom = estimated > 0 ? Math.floor(variance ** 2 / estimated + 1e-9) : Infinity;
	return studentFactor(freedom) * Math.sqrt(variance);
}

/**
 * Half-widths of 95 % intervals that do not depend on each other, as one.
 * The root of their squares summed, in the unit of what is given.
 *
 * @example combinedUncertainty(3, 4) // 5
 */
export const combinedUncertainty = (...halfWidths: readonly number[]): number =>
	Math.hypot(...halfWidths);

/**
 * What several sets of repeats say together of one gauge: the root of the summed
 * squares about each set's own mean over their degrees of freedom. Null where no
 * set has two readings.
 *
 * @example pooled([[1, 3], [10, 10]]) // deviation 1, freedom 2
 */
export function pooled(sets: readonly (readonly number[])[]): Repeatability | null {
	let [squares, freedom] = [0, 0];
	for (const set of sets) {
		const mean = set.reduce((sum, value) => sum + value, 0) / set.length;
		for (const value of set) squares += (value - mean) ** 2;
		freedom += Math.max(0, set.length - 1);
	}
	return freedom === 0 ? null : { deviation: Math.sqrt(squares / freedom), freedom };
}

/**
 * How far the means of different people lie apart beyond what their own repeats explain:
 * `s_P² = max(0, ½·mean D² − ½·s_r²·mean(1/n₁+1/n₂))`, D the difference between two people's
 * means of one thing. Source: docs/trade/springs.md.
 *
 * @param things of each thing that was read, the readings of each person
 * @param single how far one person's readings repeat
 * @returns null for fewer than three people, or where no two read one thing
 */
export function betweenPeople(
	things: readonly ReadonlyMap<string, readonly number[]>[],
	single: Repeatability
): Repeatability | null {
	const people = new Set(things.flatMap((thing) => [...thing.keys()]));
	if (people.size < MANY_PEOPLE) return null;
	const pairs = things.flatMap((thing) => {
		const own = [...thing.values()];
		return own.flatMap((a, i) => own.slice(i + 1).map((b) => [a, b] as const));
	});
	if (pairs.length === 0) return null;
	const mean = (of: (pair: (typeof pairs)[number]) => number) =>
		pairs.reduce((sum, pair) => sum + of(pair), 0) / pairs.length;
	const middle = (values: readonly number[]) =>
		values.reduce((sum, value) => sum + value, 0) / values.length;
	const apart = mean(([a, b]) => (middle(a) - middle(b)) ** 2);
	const explained = single.deviation ** 2 * mean(([a, b]) => 1 / a.length + 1 / b.length);
	return {
		deviation: Math.sqrt(Math.max(0, apart - explained) / 2),
		freedom: people.size - 1
	};
}

/** People from whose readings it can be told how far people differ. */
const MANY_PEOPLE = 3;

const HIDDEN = 0.5;

/** The two-sided 95 % point of the normal distribution: half-width of an interval over its standard deviation. */
export const NORMAL = 1.959963985;

/**
 * How far inside a stop limit a figure is clear, in half-widths of its 95 % interval: the
 * one-sided 99 % point over the two-sided 95 % point of the normal distribution. Source: docs/trade/springs.md.
 */
export const SURELY_INSIDE = 2.326347874 / NORMAL;

/**
 * The two-sided 95 % point of Student's distribution; exact for one and two degrees
 * of freedom, within 0.2 % from three on. Source: Abramowitz and Stegun, 26.7.3 to 26.7.5.
 *
 * @example studentFactor(1) // 12.706
 */
export function studentFactor(freedom: number): number {
	if (!Number.isFinite(freedom)) return NORMAL;
	if (freedom < 1) return studentFactor(1);
	if (freedom === 1) return Math.tan(0.475 * Math.PI);
	if (freedom === 2) return 0.95 * Math.sqrt(2 / (1 - 0.95 ** 2));
	const [z, v] = [NORMAL, freedom];
	return (
		z +
		(z ** 3 + z) / (4 * v) +
		(5 * z ** 5 + 16 * z ** 3 + 3 * z) / (96 * v ** 2) +
		(3 * z ** 7 + 19 * z ** 5 + 17 * z ** 3 - 15 * z) / (384 * v ** 3) +
		(79 * z ** 9 + 776 * z ** 7 + 1482 * z ** 5 - 1920 * z ** 3 - 945 * z) / (92160 * v ** 4)
	);
}
