/** Free length of the tip: what stands of the bare tip, without its cap. Source: handbook §6. */
import { lengthOf, mm, type Millimetres } from '../units/quantity.ts';
import { message } from '../message/message.ts';
import { judge, type Verdict } from '../verdict/verdict.ts';
import { figure } from './figure.ts';
import { resolutionOf } from './judging.ts';
import type { StationRead } from './read.ts';

declare module '../message/message.ts' {
	interface Messages {
		'tip-free.too-short': { readonly by: Millimetres };
	}
}
declare module '../verdict/verdict.ts' {
	interface LimitCodes {
		'tip-free-floor': true;
	}
}

/** null where nobody measured the tip. */
export const tipFreeLength = figure({ dimension: 'length', isColumn: true, verdict: judged });

function judged({ parts, read: { tip } }: StationRead): Verdict<Millimetres> | null {
	if (!tip) return null;
	const cap = parts.lashCap ? lengthOf(parts.lashCap.thickness) : 0;
	const free = mm(tip.value - cap);
	return judge(free, {
		dimension: 'length',
		limits: [{ code: 'tip-free-floor', side: 'floor', at: mm(0), severity: 'watch' }],
		sources: ['measured'],
		uncertainty: tip.uncertainty,
		resolution: resolutionOf(tip),
		remedy: (limit) => message('tip-free.too-short', { by: mm(limit.at - free) })
	});
}
