/** Rocker to retainer, and the tip above it. Source: handbook §6. */
import { mm, type Millimetres } from '../units/quantity.ts';
import { ofLength, say } from '../units/phrase.ts';
import type { RepeatMean } from '../document/repeats.ts';
import { judge, type Limit, type Verdict } from '../verdict/verdict.ts';
import { judgedOr, resolutionOf } from './judging.ts';
import type { StationRead } from './read.ts';

/** The least of closed, half and full lift; null where nobody measured it. */
export function rockerClearance({ read, shared }: StationRead): Verdict<Millimetres> | null {
	const rocker = read.rockers.reduce<RepeatMean | null>(
		(least, one) => (one && (!least || one.value < least.value) ? one : least),
		null
	);
	if (!rocker) return null;
	const at = shared.limits.rockerFloor;
	return judge(rocker.value, {
		sort: 'length',
		limits: [{ name: 'rocker floor', side: 'floor', at, severity: 'stop' }],
		sources: ['measured'],
		uncertainty: rocker.uncertainty,
		resolution: resolutionOf(rocker),
		remedy: (limit, state) =>
			state === 'too close'
				? ['Rocker clearance too close to call: measure it again']
				: say`Rocker ${ofLength(mm(limit.at - rocker.value))} too near the retainer: minus locks or a lash cap`
	});
}

/** How far the tip, or the cap on it, stands above the retainer; null where nobody measured it. */
export function tipHeight({ parts, read, shared }: StationRead): Verdict<Millimetres> | null {
	const { tip } = read;
	if (!tip) return null;
	const limits: Limit<Millimetres>[] = [
		{ name: 'tip above the retainer', side: 'floor', at: mm(0), severity: 'stop' }
	];
	if (parts.rocker?.nose === 'rail')
		limits.push({
			name: 'tip for a rail rocker',
			side: 'floor',
			at: shared.railTip,
			severity: 'stop'
		});
	return judgedOr(['no rail rocker to judge it by'], tip.value, {
		sort: 'length',
		limits,
		sources: ['measured'],
		uncertainty: tip.uncertainty,
		resolution: resolutionOf(tip),
		remedy: (limit, state) =>
			state === 'too close'
				? ['Tip height too close to call: measure it again']
				: say`Tip ${ofLength(mm(limit.at - tip.value))} too low: minus locks or a lash cap`
	});
}
