/**
 * What the readings of one figure at one station come to: the mean of the last
 * set of repeats, its spread, and how well it is known (handbook §5).
 */
import { lengthOf, mm, siOf, type Millimetres } from '../units/index.ts';
import { expandedUncertainty, pooled, together, type Repeatability } from '../verdict/index.ts';
import type { Job, Reading } from './schema.ts';

/**
 * A reading as its gauge should have read: gain and offset of the correction in force put on. Source: handbook §5.
 *
 * @returns mm or N, as the reading's unit says
 */
export function trueFigure({ read, gauge }: Reading): number {
	return (gauge.gain ?? 1) * siOf(read) + siOf(gauge.correction);
}

export interface RepeatMean<Q extends number = Millimetres> {
	readonly value: Q;
	readonly newest: Reading;
	/** The repeats of the last set, newest first; a reading of no set stands alone. */
	readonly repeats: readonly Reading[];
	/** Greatest less least of the repeats. */
	readonly spread: Q;
	/** Half-width of the 95 % interval. */
	readonly uncertainty: Q;
}

/** How far the gauge of a reading repeats, with the readings of its set; null where nobody knows. */
export type GaugeRepeats = (newest: Reading, set: readonly number[]) => Repeatability | null;

/** What a reading's own gauge is stated to repeat by, and its own set's repeats. */
const ownRepeats: GaugeRepeats = ({ gauge }, set) => together(statedFor(gauge), pooled([set]));

function statedFor({
	repeatability,
	repeatabilityFreedom
}: Reading['gauge']): Repeatability | null {
	if (repeatability === undefined) return null;
	return {
		deviation: siOf(repeatability),
		freedom: repeatabilityFreedom ?? Number.POSITIVE_INFINITY
	};
}

/** Scatter of a gauge of which nobody knows how it repeats, in parts of its resolution (handbook §5). */
export const UNKNOWN_REPEAT = 1;

/**
 * How the gauges of a job repeat: as stated for them or pooled over the shop's
 * jobs where their readings carry it, else pooled over the repeats of this job by
 * gauge and quantity, else a shop default in parts of the resolution.
 */
export function gaugeRepeatsOf({ readings, voids, setup }: Job): GaugeRepeats {
	const struck = new Set(voids.map(({ reading }) => reading));
	const sets = new Map<string, Map<string, number[]>>();
	for (const reading of readings) {
		if (reading.set === undefined || struck.has(reading.id)) continue;
		const key = gaugeKey(reading);
		let own = sets.get(key);
		if (!own) sets.set(key, (own = new Map()));
		const set = own.get(reading.set);
		if (set) set.push(trueFigure(reading));
		else own.set(reading.set, [trueFigure(reading)]);
	}
	const pools = new Map([...sets].map(([key, own]) => [key, pooled([...own.values()])]));
	const unknown = setup.limits.unknownRepeat ?? UNKNOWN_REPEAT;
	return (newest, set) =>
		(newest.gauge.repeatability === undefined ? null : ownRepeats(newest, set)) ??
		pools.get(gaugeKey(newest)) ??
		ownRepeats(newest, set) ?? {
			deviation: unknown * siOf(newest.gauge.resolution),
			freedom: Number.POSITIVE_INFINITY
		};
}

const gaugeKey = ({ gauge, quantity }: Reading) => `${quantity} ${gauge.id ?? gauge.name}`;

/**
 * The figure that stands, from readings newest first; null without any.
 *
 * @param of what a reading stands for, the same for all repeats but for their scatter
 * @param repeats how the gauges repeat; by the readings' own word where left out
 */
export function meanOfRepeats<Q extends number>(
	readings: readonly Reading[],
	of: (reading: Reading) => Q,
	repeats: GaugeRepeats = ownRepeats
): RepeatMean<Q> | null {
	const newest = readings[0];
	if (!newest) return null;
	const set =
		newest.set === undefined ? [newest] : readings.filter((reading) => reading.set === newest.set);
	const values = set.map(of);
	const mean = values.reduce((sum: number, value) => sum + value, 0) / values.length;
	return {
		value: mean as Q,
		newest,
		repeats: set,
		spread: (Math.max(...values) - Math.min(...values)) as Q,
		uncertainty: expandedUncertainty({
			resolution: siOf(newest.gauge.resolution),
			count: values.length,
			repeatability: repeats(newest, values),
			correction: newest.gauge.correctionError ? siOf(newest.gauge.correctionError) : 0
		}) as Q
	};
}

/** Resolutions by which two readings of one figure may lie apart without a word. */
const EXPLAINED = 3;

/**
 * How far apart readings of one figure may lie before their gauge does not explain it.
 *
 * @returns three times the coarsest resolution among them, in mm
 */
export const explainedBy = (readings: readonly Reading[]): Millimetres =>
	mm(EXPLAINED * Math.max(...readings.map(({ gauge }) => lengthOf(gauge.resolution))));

/**
 * How many readings a set wants: so many as were agreed on, and a third where
 * two lie further apart than the gauge explains. Source: handbook §5.
 *
 * @param agreed so many as were agreed on for the round
 * @returns 3 in place of 2 where two differ by more than three resolutions
 */
export function repeatsWanted(set: readonly Reading[], agreed: number): number {
	if (set.length < 2 || set.length > 2 || agreed > 2) return agreed;
	const [first, second] = set.map(trueFigure) as [number, number];
	const explained = EXPLAINED * siOf(set[0]!.gauge.resolution);
	return Math.abs(first - second) > explained + 1e-9 ? 3 : agreed;
}
