/** What the figures of a station are judged with: limits, their words, and figures without any. */
import { lengthOf, mm, newtons, type Millimetres, type Newtons } from '../units/quantity.ts';
import { ofLoad, say, type Phrase } from '../units/phrase.ts';
import type { RepeatMean } from '../document/repeats.ts';
import { judge, notMeasured, type Limit, type Verdict } from '../verdict/verdict.ts';

/** A verdict, or "not measured" with the reason where there is no limit to judge a figure by. */
export function judgedOr<Q extends Millimetres | Newtons>(
	missing: Phrase,
	figure: Q,
	how: Parameters<typeof judge<Q>>[1]
): Verdict<Q> {
	if (how.limits.length > 0) return judge(figure, how);
	return { ...notMeasured<Q>(missing), figure, sources: how.sources };
}

/** A figure that was measured and has nothing to be judged by. */
export const unjudged = (figure: Millimetres, why: Phrase): Verdict<Millimetres> => ({
	...notMeasured<Millimetres>(why),
	figure,
	sources: ['measured']
});

/** Floor and ceiling as far on either side of a length. */
export function around(
	name: string,
	middle: Millimetres,
	reach: Millimetres,
	severity: Limit['severity']
): Limit<Millimetres>[] {
	return [
		{ name, side: 'floor', at: mm(middle - reach), severity },
		{ name, side: 'ceiling', at: mm(middle + reach), severity }
	];
}

/** Floor and ceiling about a load, a part of it on either side. */
export function band(name: string, load: Newtons, part: number): Limit<Newtons>[] {
	return [
		{ name, side: 'floor', at: newtons(load * (1 - part)), severity: 'watch' },
		{ name, side: 'ceiling', at: newtons(load * (1 + part)), severity: 'watch' }
	];
}

/** The gauge that the newest reading was taken with shows no less than this. */
export const resolutionOf = ({ newest }: RepeatMean): Millimetres =>
	lengthOf(newest.gauge.resolution);

export const percent = (part: number): string => `${(100 * part).toFixed(0)} %`;

export function loadRemedy(which: 'Seat' | 'Open', load: Newtons, wanted: Newtons): Phrase {
	const apart = ofLoad(newtons(Math.abs(load - wanted)));
	return say`${which} load ${apart} ${load < wanted ? 'under' : 'over'} the ${ofLoad(wanted)} wanted`;
}
