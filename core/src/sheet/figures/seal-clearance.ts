/** Retainer to seal at full lift. Source: docs/trade/sheet.md and docs/trade/parts.md#compatibility. */
import { lengthOf, mm, type Millimetres } from '../../foundation/units/index.ts';
import { message } from '../../foundation/message/index.ts';
import { sealClearance as clearanceAtLift } from '../clearance/index.ts';
import {
	combinedUncertainty,
	judge,
	notMeasured,
	type Verdict
} from '../../foundation/verdict/index.ts';
import { figure } from './figure.ts';
import { minSure, resolutionOf } from './judging.ts';
import type { StationRead } from './read.ts';
import type { Remark } from './remark.ts';

declare module '../../foundation/message/message.ts' {
	interface Messages {
		'need.seal-gap': null;
		'seal.inconclusive': null;
		'seal.too-near': { readonly by: Millimetres };
		'seal.ground-unknown': null;
		'seal.not-seated': null;
	}
}
declare module '../../foundation/verdict/verdict.ts' {
	interface LimitCodes {
		'seal-floor': true;
	}
}

/** What is left above the seal at full lift, in mm. Source: docs/trade/parts.md#compatibility. */
export const sealClearance = figure({
	dimension: 'length',
	isColumn: true,
	isForemost: true,
	verdict: judged
});

function judged({
	job,
	parts,
	kind,
	read,
	pumpUp,
	shared: { limits },
	sources
}: StationRead): Verdict<Millimetres> {
	const { gap, gapAtLift } = read;
	if (!gap && !gapAtLift) return notMeasured(message('need.seal-gap'));
	const mayPumpUp = job.setup.lifters === 'hydraulic' && parts.preload !== undefined;
	if (!kind.lift && (!gapAtLift || mayPumpUp)) return notMeasured(message('need.lift'));
	const ways = [
		// Read at full lift it is the clearance itself; from the closed gap the lift is taken off.
		...(gapAtLift ? [{ from: gapAtLift, clearance: gapAtLift.value, isAtLift: true }] : []),
		...(gap && kind.lift
			? [{ from: gap, clearance: clearanceAtLift(gap.value, kind.lift.worst), isAtLift: false }]
			: [])
	];
	const verdicts = ways.map(({ from, clearance, isAtLift }) =>
		judge(clearance, {
			dimension: 'length',
			limits: [{ code: 'seal-floor', side: 'floor', at: limits.sealFloor, severity: 'stop' }],
			sources: isAtLift && pumpUp === 0 ? [sources.gap] : [sources.gap, kind.sources.lift!],
			uncertainty: isAtLift
				? from.uncertainty
				: combinedUncertainty(from.uncertainty, kind.lift!.uncertainty ?? 0),
			resolution: resolutionOf(from),
			remedy: (limit, state) =>
				state === 'inconclusive'
					? message('seal.inconclusive')
					: message('seal.too-near', { by: mm(limit.at - clearance) })
		})
	);
	// Where it was read both ways the worse one counts: neither says that the other was wrong.
	return minSure(verdicts)!;
}

/** A gap whose reading does not say how its retainer was ground counts as read with it ground. */
export function groundBeforeOrAfter({ parts, read }: StationRead): Remark[] {
	if (lengthOf(parts.retainer?.groundOff ?? '0 mm') === 0) return [];
	const isUnsaid = [read.gap, read.gapAtLift].some(
		(known) => known && known.newest.inPlace.groundOff === undefined
	);
	return isUnsaid ? [{ state: 'watch', text: message('seal.ground-unknown') }] : [];
}

/** A gap that was read with the seal not fully home: it is too small. */
export function seatedSeal({ read }: StationRead): Remark[] {
	if (read.gap?.newest.inPlace.sealHome !== false) return [];
	return [{ state: 'watch', text: message('seal.not-seated') }];
}
