/** Preload of hydraulic lifters. Source: docs/trade/valvetrain.md#lash. */
import { lengthOf, type Millimetres } from '../../foundation/units/index.ts';
import { message } from '../../foundation/message/index.ts';
import { around, type Verdict } from '../../foundation/verdict/index.ts';
import { figure } from './figure.ts';
import { judgedOr, resolutionOf } from './judging.ts';
import type { StationRead } from './read.ts';

declare module '../../foundation/message/message.ts' {
	interface Messages {
		'need.preload-setting': null;
		'preload.off': { readonly preload: Millimetres; readonly setting: Millimetres };
	}
}
declare module '../../foundation/verdict/verdict.ts' {
	interface LimitCodes {
		'preload-setting': true;
	}
}

/** How far a hydraulic lifter's plunger was pushed in; null until it is set, and for solid ones. */
export const preload = figure({ dimension: 'length', isColumn: true, verdict: judged });

function judged({
	job,
	parts,
	read,
	shared: { limits }
}: StationRead): Verdict<Millimetres> | null {
	const { preload: found } = read;
	if (job.setup.lifters === 'solid' || !found) return null;
	const wanted = parts.preload ? lengthOf(parts.preload) : null;
	return judgedOr(message('need.preload-setting'), found.value, {
		dimension: 'length',
		limits:
			wanted === null ? [] : around('preload-setting', wanted, limits.preloadTolerance, 'watch'),
		sources: ['measured'],
		uncertainty: found.uncertainty,
		resolution: resolutionOf(found),
		remedy: () => message('preload.off', { preload: found.value, setting: wanted! })
	});
}
