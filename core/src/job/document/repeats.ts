/**
 * What the readings of one figure at one station come to: the mean of the last
 * set of repeats, its spread, and how well it is known (docs/trade/springs.md).
 */
import { lengthOf, mm, siOf, type Millimetres } from '../../foundation/units/index.ts';
import {
	betweenPeople,
	combinedUncertainty,
	expandedUncertainty,
	pooled,
	type Repeatability,
	type Scatter
} from '../../foundation/verdict/index.ts';
import { biasUnchecked, usualScatter } from './one-reading.ts';
import type { Job, Reading } from './schema.ts';

/**
 * A reading as its gauge should have read: gain and offset of the correction in force put on. Source: docs/trade/springs.md.
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
	/** What of it repeats and rounding make: what is left in a difference by the same gauge and person. */
	readonly own: Scatter;
}

/**
 * Half-width of the 95 % interval of the difference of two means. What a gauge and a person
 * always do wrong cancels where both read both. Source: docs/trade/springs.md.
 */
export function uncertaintyOfDifference(a: RepeatMean, b: RepeatMean): number {
	const isSame = gaugeOf(a.newest) === gaugeOf(b.newest) && a.newest.person === b.newest.person;
	return isSame
		? combinedUncertainty(expandedUncertainty(a.own), expandedUncertainty(b.own))
		: combinedUncertainty(a.uncertainty, b.uncertainty);
}
const gaugeOf = ({ gauge }: Reading) => gauge.id ?? gauge.name;

/** How far readings like one scatter, alone and between people. */
export interface ReadingScatter {
	readonly single: Repeatability;
	readonly betweenPeople: Repeatability;
}

/** How far the readings of a figure scatter, from its newest reading and all of its set. */
export type GaugeRepeats = (newest: Reading, set: readonly number[]) => ReadingScatter;

/** Degrees of freedom, one a pair of readings, from which a gauge's own repeats stand. */
const ENOUGH_PAIRS = 10;

/** What the shop's own repeats have shown of a reading's gauge, or the shop states; null before ten pairs. */
function shownBy({ gauge }: Reading): Repeatability | null {
	if (gauge.repeatability === undefined) return null;
	const freedom = gauge.repeatabilityFreedom ?? Number.POSITIVE_INFINITY;
	return { deviation: siOf(gauge.repeatability), freedom };
}

/** So many times the default is more than it explains, once in a thousand, of readings with some degrees of freedom. */
const surprising = (freedom: number) => 1 + 2.3 / Math.sqrt(freedom);

/**
 * Before ten pairs the default for one reading stands; what the pairs there are show takes its
 * place only where the default cannot explain it. Source: docs/trade/springs.md.
 */
function atLeastUsual(usual: number, shown: readonly (Repeatability | null)[]): Repeatability {
	const known = shown.find((one) => one && one.freedom >= ENOUGH_PAIRS);
	if (known) return known;
	const worse = shown.flatMap((one) =>
		one && one.deviation > usual * surprising(one.freedom) ? [one.deviation] : []
	);
	return { deviation: Math.max(usual, ...worse), freedom: Number.POSITIVE_INFINITY };
}

/** Where fewer than three people read, they are taken to differ as one person's readings do. */
const asOnePerson = (single: Repeatability): ReadingScatter => ({ single, betweenPeople: single });

/** By what a reading carries of its gauge, its own set, and the shop's usual. */
const repeatsAlone: GaugeRepeats = (newest, set) =>
	asOnePerson(atLeastUsual(usualScatter(newest), [shownBy(newest), pooled([set])]));

/** The readings of each person in one set. */
type ByPerson = Map<string, number[]>;
/** By gauge and quantity, then by set. */
type Sets = Map<string, Map<string, ByPerson>>;

/**
 * How the gauges of a job repeat: as stated for them or pooled over the shop's
 * jobs where their readings carry it, else pooled over the repeats of this job by
 * gauge and quantity; before ten pairs not less than the shop's default for one reading.
 */
export function gaugeRepeatsOf({ readings, voids, setup }: Job): GaugeRepeats {
	const struck = new Set(voids.map(({ reading }) => reading));
	const sets: Sets = new Map();
	for (const reading of readings) {
		if (reading.set === undefined || struck.has(reading.id)) continue;
		const own = grow(sets, gaugeKey(reading), () => new Map<string, ByPerson>());
		const set: ByPerson = grow(own, reading.set, () => new Map<string, number[]>());
		grow(set, reading.person, (): number[] => []).push(trueFigure(reading));
	}
	const pools = new Map(
		[...sets].map(([key, own]) => {
			const things = [...own.values()];
			const single = pooled(things.flatMap((thing) => [...thing.values()]));
			return [key, { single, betweenPeople: single && betweenPeople(things, single) }];
		})
	);
	return (newest, set) => {
		const pool = pools.get(gaugeKey(newest));
		const shown = [shownBy(newest), pool?.single ?? null, pool ? null : pooled([set])];
		const single = atLeastUsual(usualScatter(newest, setup.limits), shown);
		return { single, betweenPeople: pool?.betweenPeople ?? single };
	};
}

const gaugeKey = (reading: Reading) => `${reading.quantity} ${gaugeOf(reading)}`;

/** What stands under a key, made where nothing does. */
function grow<K, V>(map: Map<K, V>, key: K, make: () => V): V {
	const known = map.get(key);
	if (known !== undefined) return known;
	const made = make();
	map.set(key, made);
	return made;
}

/**
 * The figure that stands, from readings newest first; null without any.
 *
 * @param of what a reading stands for, the same for all repeats but for their scatter
 * @param repeats how the gauges repeat; by the readings' own word and the usual where left out
 */
export function meanOfRepeats<Q extends number>(
	readings: readonly Reading[],
	of: (reading: Reading) => Q,
	repeats: GaugeRepeats = repeatsAlone
): RepeatMean<Q> | null {
	const newest = readings[0];
	if (!newest) return null;
	const set =
		newest.set === undefined ? [newest] : readings.filter((reading) => reading.set === newest.set);
	const values = set.map(of);
	const mean = values.reduce((sum: number, value) => sum + value, 0) / values.length;
	const { single, betweenPeople } = repeats(newest, values);
	const own = {
		resolution: siOf(newest.gauge.resolution),
		count: values.length,
		repeatability: single
	};
	return {
		value: mean as Q,
		newest,
		repeats: set,
		spread: (Math.max(...values) - Math.min(...values)) as Q,
		own,
		uncertainty: expandedUncertainty({
			resolution: own.resolution,
			count: own.count,
			repeatability: single,
			betweenPeople,
			correction: newest.gauge.correctionError ? siOf(newest.gauge.correctionError) : 0,
			bias: biasUnchecked(newest)
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
 * two lie further apart than the gauge explains. Source: docs/trade/springs.md.
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
