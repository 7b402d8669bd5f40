/** What the figures of a station are judged with: limits, their words, and figures without any. */
import { lengthOf, newtons, type Millimetres, type Newtons } from '../../foundation/units/index.ts';
import { message, type Message } from '../../foundation/message/index.ts';
import type { RepeatMean } from '../../job/document/index.ts';
import {
	byAlarm,
	judge,
	notMeasured,
	sourceIn,
	type Limit,
	type LimitCode,
	type Verdict
} from '../../foundation/verdict/index.ts';

/** A verdict, or "not measured" with the reason where there is no limit to judge a figure by. */
export function judgedOr<Q extends Millimetres | Newtons>(
	missing: Message,
	figure: Q,
	how: Parameters<typeof judge<Q>>[1]
): Verdict<Q> {
	if (how.limits.length > 0) return judge(figure, how);
	return { ...notMeasured<Q>(missing), figure, sources: how.sources.map(sourceIn) };
}

/**
 * Of several readings of one clearance, the one that decides: the worst verdict, and of like ones
 * the smallest figure. A coarse reading is not hidden by a fine one that is a hair smaller.
 */
export const minSure = <Q extends number>(verdicts: readonly Verdict<Q>[]): Verdict<Q> | null =>
	verdicts.toSorted((a, b) => byAlarm(a.state, b.state) || a.figure! - b.figure!)[0] ?? null;

/** A figure that was measured and has nothing to be judged by. */
export const unjudged = (figure: Millimetres, why: Message): Verdict<Millimetres> => ({
	...notMeasured<Millimetres>(why),
	figure,
	sources: ['measured']
});

/**
 * Floor and ceiling about a load, a part of it on either side.
 *
 * @param part of the load on either side: 0.1 is a tenth
 * @returns limits in N, at watch
 */
export function band(code: LimitCode, load: Newtons, part: number): Limit<Newtons>[] {
	return [
		{ code, side: 'floor', at: newtons(load * (1 - part)), severity: 'watch' },
		{ code, side: 'ceiling', at: newtons(load * (1 + part)), severity: 'watch' }
	];
}

/**
 * The gauge that the newest reading was taken with shows no less than this.
 *
 * @returns mm
 */
export const resolutionOf = ({ newest }: RepeatMean): Millimetres =>
	lengthOf(newest.gauge.resolution);

/** How far a load is from its target, in N, and on which side. */
export const loadRemedy = (
	load: Newtons,
	target: Newtons,
	which: 'seat-load.off' | 'open-load.off'
): Message =>
	message(which, {
		by: newtons(Math.abs(load - target)),
		way: load < target ? 'under' : 'over',
		target
	});
