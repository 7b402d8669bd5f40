/** Coil bind margin at full lift. Source: docs/trade/springs.md. */
import { mm, type Millimetres } from '../../foundation/units/index.ts';
import { message } from '../../foundation/message/index.ts';
import type { Coil } from '../../springs/spring/index.ts';
import { coilBindMargin } from '../clearance/index.ts';
import {
	combinedUncertainty,
	judge,
	notMeasured,
	type Verdict
} from '../../foundation/verdict/index.ts';
import { figure } from './figure.ts';
import { resolutionOf } from './judging.ts';
import type { StationRead } from './read.ts';

declare module '../../foundation/message/message.ts' {
	interface Messages {
		'need.height': null;
		'bind-margin.inconclusive': { readonly remeasure: 'bind' | 'height' };
		'bind-margin.wide': null;
		/** No shim taken out and no lock of a usual step gives this lift its room. */
		'bind-margin.wrong-spring': { readonly by: Millimetres; readonly lift: Millimetres };
		'bind-margin.short': {
			readonly by: Millimetres;
			readonly of: 'floor' | 'aim';
			/** The coil that binds first, where it is not the outer one. */
			readonly first: Coil | null;
			/** Whether there is a shim to take away. */
			readonly shimmed: boolean;
		};
	}
}
declare module '../../foundation/verdict/verdict.ts' {
	interface LimitCodes {
		'bind-floor': true;
		'bind-aim': true;
		'bind-wide': true;
	}
}

/** What plus locks of the usual step give, in mm. */
const MAX_BY_LOCKS = 1.27;

/** What is left before the spring goes solid at full lift, in mm. Source: docs/trade/sheet.md#target-height. */
export const bindMargin = figure({
	dimension: 'length',
	isColumn: true,
	isForemost: true,
	verdict: judged
});

function judged({ build, height, kind, read, shared, sources }: StationRead): Verdict<Millimetres> {
	if (height === null || !kind.bind || !kind.lift)
		return notMeasured([
			...(height === null ? [message('need.height')] : []),
			...(kind.bind ? [] : [message('need.bind')]),
			...(kind.lift ? [] : [message('need.lift')])
		]);
	const { limits } = shared;
	const margin = coilBindMargin(height, kind.lift.worst, kind.bind.height);
	const { first, uncertainty } = kind.bind;
	const isBindUnsure = uncertainty > read.height!.uncertainty;
	return judge(margin, {
		dimension: 'length',
		limits: [
			{ code: 'bind-floor', side: 'floor', at: limits.bindFloor, severity: 'stop' },
			{ code: 'bind-aim', side: 'floor', at: limits.bindAim, severity: 'watch' },
			{ code: 'bind-wide', side: 'ceiling', at: limits.bindMarginMax, severity: 'watch' }
		],
		sources: [
			sources.height,
			...kind.sources.bind.map((source) => ({ of: 'coil-bind', source }) as const),
			{ of: 'lift', source: kind.sources.lift! }
		],
		uncertainty: combinedUncertainty(
			read.height!.uncertainty,
			uncertainty,
			kind.lift.uncertainty ?? 0
		),
		resolution: resolutionOf(read.height!),
		remedy: (limit, state) => {
			if (state === 'inconclusive')
				return message('bind-margin.inconclusive', { remeasure: isBindUnsure ? 'bind' : 'height' });
			if (limit.code === 'bind-wide') return message('bind-margin.wide');
			const by = mm(limit.at - margin);
			const shims = build.shims.reduce((sum, shim) => sum + shim, 0);
			if (limit.severity === 'stop' && by > shims + MAX_BY_LOCKS)
				return message('bind-margin.wrong-spring', { by, lift: kind.lift!.worst });
			return message('bind-margin.short', {
				by,
				of: limit.severity === 'stop' ? 'floor' : 'aim',
				first: first && first !== 'outer' ? first : null,
				shimmed: build.shims.length > 0
			});
		}
	});
}
