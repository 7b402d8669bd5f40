/** How well a figure is known: gauge, repeats and correction together (handbook §5). */

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
	/** How far a single reading repeats. */
	readonly repeatability?: Repeatability | null;
	/** One standard deviation of the gauge's correction. */
	readonly correction?: number;
}

/**
 * Half-width of the 95 % interval of a figure: gauge resolution × 1.96 ÷ √12,
 * repeatability ÷ √n with Student's factor for the degrees of freedom there
 * really are, and 1.96 × correction error, added in quadrature. Source: handbook §5.
 *
 * @example expandedUncertainty({ resolution: 0.0254 }) // 0.01437 mm: a gauge reading 0.001 in
 */
export function expandedUncertainty({
	resolution,
	count = 1,
	repeatability = null,
	correction = 0
}: Scatter): number {
	const rounding = resolution / Math.sqrt(12);
	// Readings that are rounded alike say nothing of a scatter that the rounding hides.
	const repeats = repeatability
		? (studentFactor(repeatability.freedom) *
				Math.max(repeatability.deviation, HIDDEN * rounding)) /
			Math.sqrt(count)
		: 0;
	return Math.hypot(NORMAL * rounding, repeats, NORMAL * correction);
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

/** Two that are known apart, as one; what the shop states stands. */
export function together(a: Repeatability | null, b: Repeatability | null): Repeatability | null {
	if (!a || !b) return a ?? b;
	if (!Number.isFinite(a.freedom)) return a;
	if (!Number.isFinite(b.freedom)) return b;
	const freedom = a.freedom + b.freedom;
	const squares = a.deviation ** 2 * a.freedom + b.deviation ** 2 * b.freedom;
	return { deviation: Math.sqrt(squares / freedom), freedom };
}

/** Part of the rounding that repeats which are all alike may still scatter by; by simulation, `uncertainty.test.ts`. */
const HIDDEN = 0.5;

/** The two-sided 95 % point of the normal distribution: half-width of an interval over its standard deviation. */
export const NORMAL = 1.959963985;

/**
 * How far inside a stop limit a figure is clear, in half-widths of its 95 % interval: the
 * one-sided 99 % point over the two-sided 95 % point of the normal distribution. Source: handbook §5.
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
