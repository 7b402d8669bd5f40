/** Lash of solid lifters, preload of hydraulic ones. Source: handbook §7. */
import { lengthOf, type Millimetres } from '../units/quantity.ts';
import { message } from '../message/message.ts';
import { lashVerdict } from '../lash/lash.ts';
import { notMeasured, type Verdict } from '../verdict/verdict.ts';
import { figure } from './figure.ts';
import { around, judgedOr, resolutionOf, unjudged } from './judging.ts';
import type { StationRead } from './read.ts';

declare module '../message/message.ts' {
	interface Messages {
		'need.lash': null;
		'need.lash-setting': null;
		'need.preload-setting': null;
		'preload.off': { readonly preload: Millimetres; readonly setting: Millimetres };
	}
}
declare module '../verdict/verdict.ts' {
	interface LimitCodes {
		'preload-setting': true;
	}
}

/** null for hydraulic lifters, which have none. */
export const lash = figure({ dimension: 'length', isColumn: true, verdict: judgedLash });

function judgedLash({ job, parts, read }: StationRead): Verdict<Millimetres> | null {
	if (job.setup.lifters === 'hydraulic') return null;
	const { lash: found } = read;
	if (!found) return notMeasured(message('need.lash'));
	if (!parts.lash) return unjudged(found.value, message('need.lash-setting'));
	const { setting, tolerance, engine, source } = parts.lash;
	return lashVerdict(
		found.value,
		found.newest.engine ?? 'cold',
		{ setting: lengthOf(setting), tolerance: lengthOf(tolerance), engine, source },
		found.uncertainty
	);
}

/** How far a hydraulic lifter's plunger was pushed in; null until it is set, and for solid ones. */
export const preload = figure({ dimension: 'length', isColumn: true, verdict: judgedPreload });

function judgedPreload({
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
