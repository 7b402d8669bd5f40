/** What all stations have in common on another gauge or tester: shown apart, and not forgiven. Source: docs/trade/visits.md. */
import { testerRatio, type Job } from '../../../job/document/index.ts';
import { message, type Message } from '../../../foundation/message/index.ts';
import { median } from '../../../foundation/station/index.ts';
import { combinedUncertainty } from '../../../foundation/verdict/index.ts';
import {
	commonCause,
	commonPart,
	type CommonCause,
	type CommonPart,
	type Trace
} from '../../comparison/index.ts';
import { COMPARED, type StationComparison } from './station-comparison.ts';
import { TESTER } from './springs.ts';
import type { Millimetres } from '../../../foundation/units/index.ts';

declare module '../../../foundation/message/message.ts' {
	interface Messages {
		'beside.all-on-another-gauge': { readonly trace: Trace; readonly by: Millimetres };
		'beside.all-on-another-tester': {
			/** Loads now over then as they were read, and of a reference read on both; null where nobody read one. */
			readonly ratio: number;
			readonly reference: number | null;
			readonly cause: LoadsInCommon['cause'];
		};
	}
}

/** What all stations moved by together on another gauge, in mm; shown apart, and not forgiven. */
export interface InCommon {
	readonly trace: Trace;
	readonly by: number;
	readonly uncertainty: number;
}

/** Fewer stations than this have nothing in common. */
const FEWEST = 4;

/** What every station read on another gauge has in common; nothing where it is within what they were read to. */
export function inCommon(stations: readonly StationComparison[]): InCommon[] {
	return COMPARED.flatMap((trace) => {
		const all = stations.flatMap(({ moved }) => {
			const beside = moved[trace];
			return beside?.isAnotherGauge ? [beside.change] : [];
		});
		if (all.length < FEWEST) return [];
		const by = median(all.map((one) => one.by));
		const single = combinedUncertainty(...all.map(({ uncertainty }) => uncertainty));
		const uncertainty = (1.25 * single) / all.length;
		return Math.abs(by) > uncertainty ? [{ trace, by, uncertainty }] : [];
	});
}

/** What the loads of springs tested on another tester have in common, and what that is to be taken for. */
export interface LoadsInCommon extends CommonPart {
	/** What a reference spring read on both says. */
	readonly reference: number | null;
	readonly cause: Exclude<CommonCause, 'none'>;
}

/**
 * What all loads on another tester have in common, as they were read. Whether it is the tester's
 * is known once a reference was read on both; until then it is either's.
 *
 * @returns null where they have nothing in common, or were read on the same tester
 */
export function loadsInCommon(
	stations: readonly StationComparison[],
	back: Job
): LoadsInCommon | null {
	const loads = stations.flatMap(({ moved: { load } }) => (load?.isAnotherGauge ? [load] : []));
	const reference = testerRatio(back);
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

/** What is to be said of all valves together. */
export const inCommonMessages = (
	common: readonly InCommon[],
	loads: LoadsInCommon | null
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
	...common.map(({ trace, by }) =>
		message('beside.all-on-another-gauge', { trace, by: by as Millimetres })
	)
];
