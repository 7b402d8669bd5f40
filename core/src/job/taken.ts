/**
 * What the readings of one figure at one station come to: the mean of the last
 * set of repeats, its spread, and how well it is known (handbook §5).
 */
import { lengthOf, mm, siOf, type Millimetres } from '../units/quantity.ts';
import { expandedUncertainty } from '../verdict/uncertainty.ts';
import type { Reading } from './schema.ts';

/** A reading as its gauge should have read: gain and offset of the correction in force put on. */
export function trueFigure({ read, gauge }: Reading): number {
	return (gauge.gain ?? 1) * siOf(read) + siOf(gauge.correction);
}

export interface Taken<Q extends number = Millimetres> {
	readonly value: Q;
	readonly newest: Reading;
	/** The repeats of the last set, newest first; a reading of no set stands alone. */
	readonly repeats: readonly Reading[];
	/** Greatest less least of the repeats. */
	readonly spread: Q;
	/** Half-width of the 95 % interval. */
	readonly uncertainty: Q;
}

/**
 * The figure that stands, from readings newest first; null without any.
 *
 * @param of what a reading stands for, the same for all repeats but for their scatter
 */
export function taken<Q extends number>(
	readings: readonly Reading[],
	of: (reading: Reading) => Q
): Taken<Q> | null {
	const newest = readings[0];
	if (!newest) return null;
	const repeats =
		newest.set === undefined ? [newest] : readings.filter(({ set }) => set === newest.set);
	const values = repeats.map(of);
	const mean = values.reduce((sum: number, value) => sum + value, 0) / values.length;
	return {
		value: mean as Q,
		newest,
		repeats,
		spread: (Math.max(...values) - Math.min(...values)) as Q,
		uncertainty: expandedUncertainty({
			resolution: siOf(newest.gauge.resolution),
			repeats: values,
			correction: newest.gauge.correctionError ? siOf(newest.gauge.correctionError) : 0
		}) as Q
	};
}

/** Resolutions by which two readings of one figure may lie apart without a word. */
const EXPLAINED = 3;

/** How far apart readings of one figure may lie before their gauge does not explain it. */
export const explainedBy = (readings: readonly Reading[]): Millimetres =>
	mm(EXPLAINED * Math.max(...readings.map(({ gauge }) => lengthOf(gauge.resolution))));

/**
 * How many readings a set wants: so many as were agreed on, and a third where
 * two lie further apart than the gauge explains.
 */
export function repeatsWanted(set: readonly Reading[], agreed: number): number {
	if (set.length < 2 || set.length > 2 || agreed > 2) return agreed;
	const [first, second] = set.map(trueFigure) as [number, number];
	const explained = EXPLAINED * siOf(set[0]!.gauge.resolution);
	return Math.abs(first - second) > explained + 1e-9 ? 3 : agreed;
}
