/** Shifts that all stations share, by another gauge, tester or temperature: shown separately and not excused. Source: docs/trade/visits.md. */
import { message, type Message } from '../../../foundation/message/index.ts';
import { median } from '../../../foundation/station/index.ts';
import { combinedUncertainty } from '../../../foundation/verdict/index.ts';
import {
	commonCause,
	commonPart,
	type CommonCause,
	type CommonPart,
	type Moved,
	type Trace
} from '../../comparison/index.ts';
import {
	COMPARED,
	type Compared,
	type QuantityComparison,
	type StationComparison
} from './station-comparison.ts';
import { TESTER } from './springs.ts';
import type { Millimetres } from '../../../foundation/units/index.ts';

declare module '../../../foundation/message/message.ts' {
	interface Messages {
		'beside.all-on-another-gauge': { readonly trace: Trace; readonly by: Millimetres };
		'beside.all-lash-alike': { readonly by: Millimetres; readonly isOtherTemperature: boolean };
		'beside.all-on-another-tester': {
			/** Loads now over then as they were read, and of a reference read on both; null where nobody read one. */
			readonly ratio: number;
			readonly reference: number | null;
			readonly cause: LoadsInCommon['cause'];
		};
	}
}

/** A shift that all stations share, in mm. */
export interface InCommon {
	readonly trace: Trace;
	readonly by: number;
	readonly uncertainty: number;
	/** What to check before any valve: the gauge, or the temperature that lash was read at. */
	readonly suspect: 'gauge' | 'temperature';
}

/** Fewer stations than this share nothing. */
const FEWEST = 4;
/** A shift counts from this many half-widths of its 95 % interval: 3 standard deviations. */
const SURE = 1.5;
/** A shift is shared where this part of the stations is within its uncertainty of it: shop practice. */
const ALIKE = 2 / 3;

/** What all stations read of a quantity, where it may have shifted as a whole. */
function sharedBy(trace: Compared, stations: readonly StationComparison[]) {
	return stations.flatMap(({ moved }) => {
		const compared = moved[trace];
		// Lash shifts with temperature, and what an engine's temperature was is not always recorded.
		return compared && (trace === 'lash' || compared.isAnotherGauge) ? [compared] : [];
	});
}

/** The median shift of all stations; null where they share none beyond its uncertainty. */
function shiftOf(all: readonly QuantityComparison[]): Moved | null {
	if (all.length < FEWEST) return null;
	const by = median(all.map(({ change }) => change.by));
	const single = combinedUncertainty(...all.map(({ change }) => change.uncertainty));
	const uncertainty = (1.25 * single) / all.length;
	const near = all.filter(({ change }) => Math.abs(change.by - by) <= change.uncertainty);
	return Math.abs(by) > SURE * uncertainty && near.length >= ALIKE * all.length
		? { by, uncertainty }
		: null;
}

/** Shifts that all stations share; none where a shift is within its uncertainty. */
export function inCommon(stations: readonly StationComparison[]): InCommon[] {
	const heights = stations.flatMap(({ moved: { height } }) => (height ? [height] : []));
	return COMPARED.flatMap((trace): InCommon[] => {
		const all = sharedBy(trace, stations);
		const shift = shiftOf(all);
		if (!shift) return [];
		if (trace !== 'lash') return [{ trace, ...shift, suspect: 'gauge' }];
		// Seats that have all receded close all lash alike, and heights show it.
		const isConditionKnown = all.some((one) => one.isAnotherGauge || one.isOtherTemperature);
		return isConditionKnown || shiftOf(heights) === null
			? [{ trace, ...shift, suspect: 'temperature' }]
			: [];
	});
}

/** What the loads of springs tested on another tester have in common, and what that is to be taken for. */
export interface LoadsInCommon extends CommonPart {
	/** What a reference spring read on both says. */
	readonly reference: number | null;
	readonly cause: Exclude<CommonCause, 'none'>;
}

/**
 * Returns what all loads on another tester have in common, as they were read. Once a reference
 * spring has been read on both testers it is known whether the tester or the springs caused it;
 * until then it may be either.
 *
 * @param reference load of a reference spring on the present tester over that on the earlier one; null where none was read
 * @returns null where they share nothing, or were read on the same tester
 */
export function loadsInCommon(
	stations: readonly StationComparison[],
	reference: number | null
): LoadsInCommon | null {
	const loads = stations.flatMap(({ moved: { load } }) => (load?.isAnotherGauge ? [load] : []));
	const part = commonPart(
		loads.map(({ then, now }) => ((reference ?? 1) * now.value) / then.value),
		combinedUncertainty(TESTER, TESTER)
	);
	const cause = commonCause(
		part,
		false,
		reference === null
			? null
			: { value: reference, uncertainty: combinedUncertainty(TESTER, TESTER) * reference }
	);
	return part && cause !== 'none' ? { ...part, reference, cause } : null;
}

/**
 * Returns by how much a quantity of one valve changed beyond what all valves share: the part that
 * is its own, with the uncertainty of both.
 */
export function ownChange(
	trace: Trace,
	{ change, then }: QuantityComparison,
	common: readonly InCommon[],
	loads: LoadsInCommon | null
): Moved {
	const shift =
		trace === 'load'
			? loads?.cause === 'either'
				? { by: (loads.ratio - 1) * then.value, uncertainty: loads.uncertainty * then.value }
				: null
			: common.find((one) => one.trace === trace);
	return shift
		? {
				by: change.by - shift.by,
				uncertainty: combinedUncertainty(change.uncertainty, shift.uncertainty)
			}
		: change;
}

/** Messages on the shifts that all valves share. */
export const inCommonMessages = (
	common: readonly InCommon[],
	loads: LoadsInCommon | null,
	isOtherTemperature = false
): Message[] => [
	...(loads
		? [
				message('beside.all-on-another-tester', {
					ratio: loads.ratio,
					reference: loads.reference,
					cause: loads.cause
				})
			]
		: []),
	...common.map(({ trace, by, suspect }) =>
		suspect === 'temperature'
			? message('beside.all-lash-alike', { by: by as Millimetres, isOtherTemperature })
			: message('beside.all-on-another-gauge', { trace, by: by as Millimetres })
	)
];

/** Whether the lash of any valve was read at another temperature than on the last sheet. */
export const isLashAtOtherTemperature = (stations: readonly StationComparison[]): boolean =>
	stations.some(({ moved }) => moved.lash?.isOtherTemperature);
