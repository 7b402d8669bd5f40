/** What a tested spring has lost against its card. Source: docs/trade/springs.md. */
import { lengthOf, newtons, type Millimetres, type Newtons } from '../../foundation/units/index.ts';
import { message } from '../../foundation/message/index.ts';
import { isBeyondTested, testerUncertainty } from '../../springs/spring/index.ts';
import { judge, type Limit, type Verdict } from '../../foundation/verdict/index.ts';
import { figure } from './figure.ts';
import type { StationRead } from './read.ts';

declare module '../../foundation/message/message.ts' {
	interface Messages {
		'spring.lost-load': {
			readonly load: Newtons;
			readonly card: Newtons;
			readonly height: Millimetres;
			/** Of the card’s load. */
			readonly part: number;
		};
	}
}
declare module '../../foundation/verdict/verdict.ts' {
	interface LimitCodes {
		'load-loss': true;
		'load-loss-stop': true;
	}
}

/** At one height, whatever height is aimed for; null while the spring is not tested. */
export const loadLoss = figure({ dimension: 'load', isColumn: false, verdict: judged });

function judged({ height, kind, parts, shared: { limits } }: StationRead): Verdict<Newtons> | null {
	const { curve, line } = kind;
	const card = parts.spring;
	if (curve?.from !== 'tested' || !line || !card) return null;
	const places = [height, lengthOf(card.seat.height)].flatMap((at) => {
		if (at === null || isBeyondTested(curve, at)) return [];
		const [now, then] = [curve.load(at), line.load(at)];
		return now === null || then === null || then <= 0 ? [] : [{ at, now, then }];
	});
	const [place] = places;
	if (!place) return null;
	const { at, now, then } = place;
	const floor = (part: number, severity: Limit['severity']): Limit<Newtons> => ({
		code: severity === 'stop' ? 'load-loss-stop' : 'load-loss',
		side: 'floor',
		at: newtons(then * (1 - part)),
		severity
	});
	return judge(now, {
		dimension: 'load',
		limits: [floor(limits.sag.watch, 'watch'), floor(limits.sag.stop, 'stop')],
		sources: ['tested', card.source],
		uncertainty: testerUncertainty(curve, at),
		remedy: () =>
			message('spring.lost-load', { load: now, card: then, height: at, part: 1 - now / then })
	});
}
