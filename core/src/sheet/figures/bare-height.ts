/** The bare height, against its kind: a seat that was cut deeper stands out. Source: docs/trade/sheet.md. */
import { mm, type Millimetres } from '../../foundation/units/index.ts';
import { message } from '../../foundation/message/index.ts';
import { around, judge, notMeasured, type Verdict } from '../../foundation/verdict/index.ts';
import { figure } from './figure.ts';
import { resolutionOf, unjudged } from './judging.ts';
import type { StationRead } from './read.ts';
import { outlierRemedy } from './station-remarks.ts';

declare module '../../foundation/message/message.ts' {
	interface Messages {
		'need.four-heights': null;
	}
}
declare module '../../foundation/verdict/verdict.ts' {
	interface LimitCodes {
		'bare-height': true;
	}
}

/** The bare height against the median of its kind. */
export const bareHeight = figure({ dimension: 'length', isColumn: false, verdict: judged });

function judged({ bare, kind, read, build }: StationRead): Verdict<Millimetres> {
	if (bare === null) return notMeasured(message('need.height'));
	const { bareMedian, bareReach } = kind;
	if (bareMedian === null || bareReach === null)
		return unjudged(bare, message('need.four-heights'));
	return judge(bare, {
		dimension: 'length',
		limits: around('bare-height', bareMedian, bareReach, 'watch'),
		sources: ['measured'],
		resolution: resolutionOf(read.height!),
		remedy: () => outlierRemedy(mm(bare - bareMedian), read.height!.newest, build.locator)
	});
}
