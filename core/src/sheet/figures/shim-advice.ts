/** The shims suggested for one station on its own, and what they lead to. */
import type { KindSetup } from '../../job/document/index.ts';
import { lengthOf, mm, type Millimetres } from '../../foundation/units/index.ts';
import { message, type Message } from '../../foundation/message/index.ts';
import { coilBindMargin } from '../clearance/index.ts';
import {
	suggestShims,
	usableShims,
	type ShimAnswer,
	type ShimRoom,
	type ShimStock
} from '../../parts/shim/index.ts';
import type { JobLimits } from './job-limits.ts';
import type { KindSheet, Outcome, ShimAdvice } from './kind.ts';

declare module '../../foundation/message/message.ts' {
	interface Messages {
		'shims.none-holds-bind': null;
		'shims.none-closer': null;
		'shims.leave': null;
		'shims.take-out': null;
		'shims.fit': { readonly shims: readonly Millimetres[] };
		'shims.swap': { readonly shims: readonly Millimetres[] };
	}
}

/**
 * Which shims bring a station to its target, and what it would have then.
 *
 * @param unshimmed height without any shim, in mm
 * @param present thicknesses of the shims that are in, in mm
 * @returns null where nothing is aimed for
 */
export function shimAdvice(
	{ limits, stock }: JobLimits,
	kind: KindSheet,
	unshimmed: Millimetres,
	present: readonly Millimetres[],
	room: ShimRoom
): ShimAdvice | null {
	if (kind.target.height === null) return null;
	const answer = suggestShims({
		unshimmed,
		present,
		aim: kind.target.height,
		lowest: kind.lowestHeight,
		lowestAim: kind.lowestAimHeight,
		stock: withPresent(usableShims(stock, room), present),
		max: limits.maxShims,
		deadBand: limits.deadBand
	});
	if (answer.type !== 'fit') return { answer, outcome: null };
	return { answer, outcome: outcomeOf(kind, answer.shims, answer.height) };
}

/** The stock on the shelf and what is under the station already, which it may keep. */
function withPresent(stock: readonly ShimStock[], present: readonly Millimetres[]): ShimStock[] {
	const counts = new Map<Millimetres, number>();
	for (const { thickness, count } of stock)
		counts.set(thickness, (counts.get(thickness) ?? 0) + count);
	for (const thickness of present) counts.set(thickness, (counts.get(thickness) ?? 0) + 1);
	return [...counts].map(([thickness, count]) => ({ thickness, count }));
}

/** What a station has with some shims in: loads and margin at a height in mm. */
export function outcomeOf(
	kind: KindSheet,
	shims: readonly Millimetres[],
	height: Millimetres
): Outcome {
	const { curve, lift, bind } = kind;
	return {
		shims,
		height,
		seatLoad: curve?.load(height) ?? null,
		openLoad: curve && lift ? curve.load(mm(height - lift.net)) : null,
		bindMargin: bind && lift ? coilBindMargin(height, lift.worst, bind.height) : null
	};
}

/** What shims must go over and into at stations with these parts. */
export const shimRoomOf = ({ pocket }: KindSetup): ShimRoom => ({
	boss: pocket?.boss ? lengthOf(pocket.boss) : undefined,
	pocket: pocket?.diameter ? lengthOf(pocket.diameter) : undefined
});

/** What to do about the shims: which to fit, to swap for, to take out, or why none. */
export function shimAction(
	answer: ShimAnswer | null,
	present: readonly Millimetres[]
): Message | null {
	if (answer === null) return null;
	if (answer.type === 'no-room') return message('shims.none-holds-bind');
	if (answer.type === 'leave')
		return message(answer.why === 'nothing-closer' ? 'shims.none-closer' : 'shims.leave');
	const { shims } = answer;
	if (shims.length === 0) return message('shims.take-out');
	return message(present.length === 0 ? 'shims.fit' : 'shims.swap', { shims });
}
