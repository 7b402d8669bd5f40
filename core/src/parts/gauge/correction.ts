/**
 * What a gauge's checks against a reference say of it: a straight line, or an
 * offset alone with one check (docs/trade/springs.md). All figures of one check in one
 * unit, millimetres or newtons.
 */

export interface CheckPoint {
	/** What the reference truly is. */
	readonly reference: number;
	/** What the gauge read. */
	readonly read: number;
}

export interface Correction {
	/** `true = gain × read + offset`. */
	readonly gain: number;
	readonly offset: number;
	/** What is left of each check after the correction, in the order of the checks. */
	readonly residuals: readonly number[];
}

export const NO_CORRECTION: Correction = { gain: 1, offset: 0, residuals: [] };

/** Checks whose readings spread by less than this part of their mean are of one place. */
const ONE_PLACE = 0.05;

/**
 * Correction through the checks: none without a check, an offset with one (or
 * with several at one reference), gain and offset by least squares with more.
 *
 * @example checks 10 read 10.02, 50 read 50.06: gain 0.999, offset 0.0100
 */
export function correctionFrom(checks: readonly CheckPoint[]): Correction {
	if (checks.length === 0) return NO_CORRECTION;
	const mean = (of: (check: CheckPoint) => number) =>
		checks.reduce((sum, check) => sum + of(check), 0) / checks.length;
	const [read, reference] = [mean((check) => check.read), mean((check) => check.reference)];
	const spread = mean((check) => (check.read - read) ** 2);
	const together = mean((check) => (check.read - read) * (check.reference - reference));
	// Checks that lie close together say nothing of a gain: a line through them would run wild elsewhere.
	const isOnePlace = Math.sqrt(spread) < ONE_PLACE * Math.abs(read);
	const gain = isOnePlace ? 1 : together / spread;
	const offset = reference - gain * read;
	return {
		gain,
		offset,
		residuals: checks.map((check) => gain * check.read + offset - check.reference)
	};
}

/**
 * What a gauge's reading stands for: `gain × read + offset`, in the reading's own unit.
 *
 * @example corrected(320, { gain: 0.8663, offset: 1.6 }) // 278.8
 */
export const corrected = (read: number, { gain, offset }: Pick<Correction, 'gain' | 'offset'>) =>
	gain * read + offset;

export interface Compared {
	/** Mean of second less first, as a part of the first. */
	readonly difference: number;
	/** Spread of the differences about their mean. */
	readonly spread: number;
	/** Two gauges that differ by more than they scatter are a finding, not noise. */
	readonly disagree: boolean;
}

/** Part of a reading by which two gauges may differ before it is remarked on. */
const AGREE_WITHIN = 0.01;

/**
 * Two gauges on the same springs; null for fewer than two pairs.
 *
 * @param pairs what the first and the second read of each spring
 */
export function compareGauges(pairs: readonly (readonly [number, number])[]): Compared | null {
	if (pairs.length < 2) return null;
	const parts = pairs.map(([first, second]) => (second - first) / first);
	const difference = parts.reduce((sum, part) => sum + part, 0) / parts.length;
	const spread = Math.sqrt(
		parts.reduce((sum, part) => sum + (part - difference) ** 2, 0) / (parts.length - 1)
	);
	const ofMean = (2 * spread) / Math.sqrt(parts.length);
	return {
		difference,
		spread,
		disagree: Math.abs(difference) > Math.max(AGREE_WITHIN, ofMean)
	};
}

/**
 * Factor of an on-head tester, from springs that were also bench-tested: the
 * mean of true over read; null without any.
 */
export function headFactor(pairs: readonly { bench: number; head: number }[]): number | null {
	if (pairs.length === 0) return null;
	return pairs.reduce((sum, { bench, head }) => sum + bench / head, 0) / pairs.length;
}
