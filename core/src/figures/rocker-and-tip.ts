/** Rocker to retainer, and the tip above it. Source: handbook §6. */
import { mm, type Millimetres } from '../units/quantity.ts';
import { message } from '../message/message.ts';
import type { RepeatMean } from '../document/repeats.ts';
import { judge, type Limit, type Verdict } from '../verdict/verdict.ts';
import { figure } from './figure.ts';
import { judgedOr, resolutionOf } from './judging.ts';
import type { StationRead } from './read.ts';

declare module '../message/message.ts' {
	interface Messages {
		'need.rocker': null;
		'rocker.inconclusive': null;
		'rocker.too-near': { readonly by: Millimetres };
		'tip.inconclusive': null;
		'tip.too-low': { readonly by: Millimetres };
	}
}
declare module '../verdict/verdict.ts' {
	interface LimitCodes {
		'rocker-floor': true;
		'tip-above-retainer': true;
		'tip-for-rail-rocker': true;
	}
}

/** The least of closed, half and full lift; null where nobody measured it. */
export const rockerClearance = figure({
	dimension: 'length',
	isColumn: true,
	verdict: judgedRocker
});

function judgedRocker({ read, shared }: StationRead): Verdict<Millimetres> | null {
	const rocker = read.rockers.reduce<RepeatMean | null>(
		(least, one) => (one && (!least || one.value < least.value) ? one : least),
		null
	);
	if (!rocker) return null;
	const at = shared.limits.rockerFloor;
	return judge(rocker.value, {
		dimension: 'length',
		limits: [{ code: 'rocker-floor', side: 'floor', at, severity: 'stop' }],
		sources: ['measured'],
		uncertainty: rocker.uncertainty,
		resolution: resolutionOf(rocker),
		remedy: (limit, state) =>
			state === 'inconclusive'
				? message('rocker.inconclusive')
				: message('rocker.too-near', { by: mm(limit.at - rocker.value) })
	});
}

/** How far the tip, or the cap on it, stands above the retainer; null where nobody measured it. */
export const tipHeight = figure({ dimension: 'length', isColumn: true, verdict: judgedTip });

function judgedTip({ parts, read, shared }: StationRead): Verdict<Millimetres> | null {
	const { tip } = read;
	if (!tip) return null;
	const limits: Limit<Millimetres>[] = [
		{ code: 'tip-above-retainer', side: 'floor', at: mm(0), severity: 'stop' }
	];
	if (parts.rocker?.nose === 'rail')
		limits.push({
			code: 'tip-for-rail-rocker',
			side: 'floor',
			at: shared.railTip,
			severity: 'stop'
		});
	return judgedOr(message('need.rocker'), tip.value, {
		dimension: 'length',
		limits,
		sources: ['measured'],
		uncertainty: tip.uncertainty,
		resolution: resolutionOf(tip),
		remedy: (limit, state) =>
			state === 'inconclusive'
				? message('tip.inconclusive')
				: message('tip.too-low', { by: mm(limit.at - tip.value) })
	});
}
