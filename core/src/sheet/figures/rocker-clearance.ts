/** Rocker to retainer, through the lift. Source: docs/trade/parts.md#compatibility. */
import { mm, type Millimetres } from '../../foundation/units/index.ts';
import { message } from '../../foundation/message/index.ts';
import type { RepeatMean } from '../../job/document/index.ts';
import { judge, type Verdict } from '../../foundation/verdict/index.ts';
import { figure } from './figure.ts';
import { minSure, resolutionOf } from './judging.ts';
import type { StationRead } from './read.ts';

declare module '../../foundation/message/message.ts' {
	interface Messages {
		'rocker.inconclusive': null;
		'rocker.too-near': { readonly by: Millimetres };
	}
}
declare module '../../foundation/verdict/verdict.ts' {
	interface LimitCodes {
		'rocker-floor': true;
	}
}

/** The one of closed, half and full lift that is least surely clear; null where nobody measured it. */
export const rockerClearance = figure({
	dimension: 'length',
	isColumn: true,
	verdict: judged
});

function judged({ read, shared }: StationRead): Verdict<Millimetres> | null {
	const at = shared.limits.rockerFloor;
	return minSure(read.rockers.flatMap((rocker) => (rocker ? [judgedAt(rocker, at)] : [])));
}

function judgedAt(rocker: RepeatMean, at: Millimetres): Verdict<Millimetres> {
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
