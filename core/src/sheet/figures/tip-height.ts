/** The tip of the valve, or of the cap on it, above the retainer. Source: docs/trade/parts.md#compatibility. */
import { mm, type Millimetres } from '../../foundation/units/index.ts';
import { message } from '../../foundation/message/index.ts';
import type { Limit, Verdict } from '../../foundation/verdict/index.ts';
import { figure } from './figure.ts';
import { judgedOr, resolutionOf } from './judging.ts';
import type { StationRead } from './read.ts';

declare module '../../foundation/message/message.ts' {
	interface Messages {
		'need.rocker': null;
		'tip.inconclusive': null;
		'tip.too-low': { readonly tip: Millimetres; readonly min: Millimetres };
	}
}
declare module '../../foundation/verdict/verdict.ts' {
	interface LimitCodes {
		'tip-above-retainer': true;
		'tip-for-rail-rocker': true;
	}
}

/** How far the tip, or the cap on it, stands above the retainer; null where nobody measured it. */
export const tipHeight = figure({ dimension: 'length', isColumn: true, verdict: judged });

function judged({ parts, read, shared }: StationRead): Verdict<Millimetres> | null {
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
				: message('tip.too-low', { tip: tip.value, min: limit.at })
	});
}
