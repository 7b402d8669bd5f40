/** The shims suggested for one station on its own, and what they lead to. */
import type { KindSetup } from '../document/schema.ts';
import { lengthOf, mm, type Millimetres } from '../units/quantity.ts';
import { joined, ofLength, say, type Phrase } from '../units/phrase.ts';
import { coilBindMargin } from '../clearance/clearance.ts';
import {
	suggestShims,
	usableShims,
	type ShimAnswer,
	type ShimRoom,
	type ShimStock
} from '../plan/shim.ts';
import type { JobLimits } from './job-limits.ts';
import type { KindSheet, Outcome, StationSheet } from './sheet.ts';

export function shimAdvice(
	{ limits, stock }: JobLimits,
	kind: KindSheet,
	unshimmed: Millimetres,
	present: readonly Millimetres[],
	room: ShimRoom
): StationSheet['shim'] {
	if (kind.target.height === null) return null;
	const answer = suggestShims({
		unshimmed,
		present,
		aim: kind.target.height,
		lowest: kind.lowestHeight,
		lowestAim: kind.lowestAimHeight,
		stock: withPresent(usableShims(stock, room), present),
		most: limits.shimsAtMost,
		deadBand: limits.deadBand
	});
	if (answer.sort !== 'fit') return { answer, outcome: null };
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

/** "Shim 0.030 + 0.015", "Take the shims out", "No shim in stock brings it closer". */
export function shimPhrase(answer: ShimAnswer | null, present: readonly Millimetres[]): Phrase {
	if (answer === null) return [];
	if (answer.sort === 'no room') return ['No shim in stock holds the bind floor'];
	if (answer.sort === 'leave') {
		return answer.why === 'nothing closer'
			? ['No shim in stock brings it closer']
			: ['Off the aim, yet inside the dead band: leave it'];
	}
	if (answer.shims.length === 0) return ['Take the shims out'];
	const stack = joined(
		answer.shims.map((shim) => [ofLength(shim)]),
		' + '
	);
	return present.length === 0 ? say`Shim ${stack}` : say`Swap the shims for ${stack}`;
}
