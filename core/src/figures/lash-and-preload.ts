/** Lash of solid lifters, preload of hydraulic ones. Source: handbook §7. */
import { lengthOf, type Millimetres } from '../units/quantity.ts';
import { ofLength, say } from '../units/phrase.ts';
import { lashVerdict } from '../lash/lash.ts';
import { notMeasured, type Verdict } from '../verdict/verdict.ts';
import { around, judgedOr, resolutionOf, unjudged } from './judging.ts';
import type { StationRead } from './read.ts';

/** null for hydraulic lifters, which have none. */
export function lash({ job, parts, read }: StationRead): Verdict<Millimetres> | null {
	if (job.setup.lifters === 'hydraulic') return null;
	const { lash: found } = read;
	if (!found) return notMeasured(['lash not set']);
	if (!parts.lash) return unjudged(found.value, ['no lash setting to judge by']);
	const { setting, tolerance, engine, source } = parts.lash;
	return lashVerdict(
		found.value,
		found.newest.engine ?? 'cold',
		{ setting: lengthOf(setting), tolerance: lengthOf(tolerance), engine, source },
		found.uncertainty
	);
}

/** How far a hydraulic lifter's plunger was pushed in; null until it is set, and for solid ones. */
export function preload({
	job,
	parts,
	read,
	shared: { limits }
}: StationRead): Verdict<Millimetres> | null {
	const { preload: found } = read;
	if (job.setup.lifters === 'solid' || !found) return null;
	const wanted = parts.preload ? lengthOf(parts.preload) : null;
	return judgedOr(['no preload to judge by'], found.value, {
		sort: 'length',
		limits: wanted === null ? [] : around('wanted preload', wanted, limits.preloadWithin, 'watch'),
		sources: ['measured'],
		uncertainty: found.uncertainty,
		resolution: resolutionOf(found),
		remedy: () => say`Preload ${ofLength(found.value)}: set ${ofLength(wanted!)} from zero lash`
	});
}
