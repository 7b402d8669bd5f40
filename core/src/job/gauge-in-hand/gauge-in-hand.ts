/** A gauge of the shop as a reading carries it: with the correction in force now. */
import {
	checksInForce,
	correctionInForce,
	type Dimension,
	correctionFrom,
	type GaugeType
} from '../../parts/gauge/index.ts';
import { ONE_READING, UNKNOWN_REPEAT, type Reading } from '../document/index.ts';
import { siOf } from '../../foundation/units/index.ts';
import { studentFactor, type Repeatability } from '../../foundation/verdict/index.ts';
import type { Gauge, GaugeCheck } from '../../parts/gauge/schema.ts';

const UNIT = { length: 'mm', load: 'N' } as const;

/** What a gauge that does not say reads to. */
const USUAL_RESOLUTION = { length: '0.01 mm', load: '5 N' } as const;

/**
 * The gauge as it stands in a reading: its correction with that correction's own
 * error, and how far it repeats, as the shop states it or as its repeats on other
 * jobs have shown.
 *
 * @param repeats pooled over its readings so far; what the shop states goes before it
 */
export function gaugeInHand(
	gauge: Gauge,
	checks: readonly GaugeCheck[],
	dimension: Dimension,
	repeats: Repeatability | null = null
): Reading['gauge'] {
	const { gain, offset } = correctionInForce(checks, dimension);
	const unit = UNIT[dimension];
	const resolution =
		(dimension === 'length' ? gauge.resolution : gauge.loadResolution) ??
		USUAL_RESOLUTION[dimension];
	const stated = dimension === 'length' ? gauge.repeatability : gauge.loadRepeatability;
	const known = stated ? siOf(stated) : repeats?.deviation;
	const inForce = checksInForce(checks, dimension);
	const single = known ?? usualOf(gauge, dimension, siOf(resolution), inForce);
	const error = correctionError(
		inForce,
		gain === 1 ? 1 : 2,
		Math.hypot(siOf(resolution) / Math.sqrt(12), single)
	);
	const accuracy = dimension === 'length' ? gauge.accuracy : gauge.loadAccuracy;
	return {
		id: gauge.id,
		name: gauge.name,
		resolution,
		...(gain !== 1 && { gain: Number(gain.toFixed(6)) }),
		correction: `${offset.toFixed(5)} ${unit}`.replace(/^-0\.0+ /, '0 '),
		...(error > 0 && { correctionError: `${error.toFixed(5)} ${unit}` }),
		...(accuracy && { accuracy }),
		...(known !== undefined && { repeatability: `${known.toFixed(5)} ${unit}` }),
		...(!stated && repeats && { repeatabilityFreedom: Math.max(1, Math.round(repeats.freedom)) })
	};
}

/** Which default for one reading a gauge goes by; a micrometer goes by its resolution. */
const DEFAULT_OF: Partial<Record<GaugeType, keyof typeof ONE_READING>> = {
	'height-gauge': 'height',
	'depth-gauge': 'sealGap',
	'feeler-set': 'feeler',
	'dial-indicator': 'indicator',
	'bench-tester': 'tester',
	'on-head-tester': 'onHead'
};

/**
 * How far one reading of a gauge scatters while nobody knows: two resolutions, or the default of
 * its type where that is more. Source: docs/trade/springs.md.
 *
 * @param checks whose greatest reading a part of the load is taken of
 */
function usualOf(
	{ type }: Gauge,
	dimension: Dimension,
	resolution: number,
	checks: readonly GaugeCheck[]
): number {
	const resolutions = UNKNOWN_REPEAT * resolution;
	const of = DEFAULT_OF[type];
	if (of === undefined) return resolutions;
	const isPart = of === 'tester' || of === 'onHead';
	if (isPart !== (dimension === 'load')) return resolutions;
	const reach = isPart ? Math.max(0, ...checks.map(({ read }) => siOf(read))) : 1;
	return Math.max(resolutions, ONE_READING[of] * reach);
}

/**
 * One standard deviation of a load read on a tester that was checked, as a part of the load: how
 * it repeats, and the error of its correction. Source: docs/trade/springs.md.
 *
 * @returns null before its first check of a load
 */
export function testerDeviation(gauge: Gauge, checks: readonly GaugeCheck[]): number | null {
	const inForce = checksInForce(checks, 'load');
	if (inForce.length === 0) return null;
	const { correctionError, repeatability } = gaugeInHand(gauge, checks, 'load');
	const max = Math.max(...inForce.map(({ read }) => siOf(read)));
	const scatter = repeatability ? siOf(repeatability) / max : ONE_READING.tester;
	return Math.hypot(scatter, siOf(correctionError ?? '0 N') / max);
}

/**
 * Checks that leave nothing over say nothing of how well the correction holds:
 * one more would. 0 before the first check, and once it is known.
 */
export function checksStillWanted(checks: readonly GaugeCheck[], dimension: Dimension): number {
	const count = checksInForce(checks, dimension).length;
	if (count === 0) return 0;
	const unknowns = correctionInForce(checks, dimension).gain === 1 ? 1 : 2;
	return Math.max(0, unknowns + 1 - count);
}

/**
 * One standard deviation of a correction where its checks are the least sure of
 * it: each check is a reading like any other, and what they leave over counts with
 * Student's factor for how little they are.
 *
 * @param unknowns 1 for an offset, 2 for gain and offset
 * @param reading standard deviation of one reading
 */
function correctionError(checks: readonly GaugeCheck[], unknowns: 1 | 2, reading: number): number {
	const count = checks.length;
	if (count === 0) return 0;
	const points = checks.map(({ reference, read }) => ({
		reference: siOf(reference),
		read: siOf(read)
	}));
	const { residuals } = correctionFrom(points);
	const free = count - unknowns;
	const left = free > 0 ? Math.sqrt(residuals.reduce((sum, one) => sum + one ** 2, 0) / free) : 0;
	const each =
		free > 0 ? Math.max(reading, (left * studentFactor(free)) / studentFactor(Infinity)) : reading;
	if (unknowns === 1) return each / Math.sqrt(count);
	const middle = points.reduce((sum, { read }) => sum + read, 0) / count;
	const squares = points.reduce((sum, { read }) => sum + (read - middle) ** 2, 0);
	const furthest = Math.max(...points.map(({ read }) => (read - middle) ** 2));
	return each * Math.sqrt(1 / count + furthest / squares);
}
