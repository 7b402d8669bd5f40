/** How lash moved since it was last set, and what may be the cause (docs/trade/valvetrain.md#lash). Millimetres. */
import { lengthRead } from './adjust-to-build.ts';
import { meanOfRepeats, type Reading } from '../../job/document/index.ts';
import type { Remark } from './remark.ts';
import { message } from '../../foundation/message/index.ts';
import { mm, toComparisonStep, type Millimetres } from '../../foundation/units/index.ts';

declare module '../../foundation/message/message.ts' {
	interface Messages {
		'lash.opened': { readonly by: Millimetres };
		'lash.closed': { readonly by: Millimetres };
		'lash.moved-together': { readonly moved: number; readonly of: number };
	}
}

export interface DriftLimits {
	readonly watch: Millimetres;
	readonly stop: Millimetres;
}

/**
 * What a lash that was found moved by since the last one that was set with the
 * engine in the same state; null where either is missing.
 *
 * @param readings of one station that stand, newest first
 */
export function lashDrift(readings: readonly Reading[]): Millimetres | null {
	const newest = readings[0];
	if (newest?.lash?.as !== 'found') return null;
	const before = readings.filter(
		({ at, engine, lash }) =>
			lash?.as !== 'found' &&
			(engine ?? 'cold') === (newest.engine ?? 'cold') &&
			Date.parse(at) < Date.parse(newest.at)
	);
	const [now, then] = [meanOfRepeats(readings, lengthRead), meanOfRepeats(before, lengthRead)];
	return now && then ? mm(now.value - then.value) : null;
}

/**
 * What is said of a drift: nothing within the watch limit, else how far and where to look first. Source: docs/trade/valvetrain.md#lash.
 *
 * @param drift lash found less lash last set, in mm; null where one of them is not known
 * @returns stop from the stop limit on, watch beyond the watch limit
 */
export function driftRemarks(drift: Millimetres | null, limits: DriftLimits): Remark[] {
	if (drift === null) return [];
	const beyond = (limit: Millimetres) => toComparisonStep(Math.abs(drift) - limit, 'length');
	if (beyond(limits.watch) <= 0) return [];
	return [
		{
			state: beyond(limits.stop) >= 0 ? 'stop' : 'watch',
			about: 'lash-drift',
			limit: beyond(limits.stop) >= 0 ? limits.stop : limits.watch,
			text: message(drift > 0 ? 'lash.opened' : 'lash.closed', { by: mm(Math.abs(drift)) })
		}
	];
}

/**
 * Several that moved the same way about as far: more likely the engine's state
 * or the gauge than as many faults.
 *
 * @param drifts lash found less last set, in mm, of every station that has both
 * @returns one remark where half of at least four moved past the watch limit to one side
 */
export function commonDrift(drifts: readonly Millimetres[], limits: DriftLimits): Remark[] {
	const beyond = drifts.filter((drift) => Math.abs(drift) > limits.watch);
	if (drifts.length < 4 || beyond.length < drifts.length / 2) return [];
	if (!beyond.every((drift) => drift > 0) && !beyond.every((drift) => drift < 0)) return [];
	return [
		{
			state: 'watch',
			about: 'lash-drift',
			text: message('lash.moved-together', { moved: beyond.length, of: drifts.length })
		}
	];
}
