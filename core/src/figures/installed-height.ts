/** Installed height: against its aim, against its kind, and as it was built. Source: handbook §3 and §4. */
import { mm, toComparisonStep, type Millimetres } from '../units/quantity.ts';
import { ofLength, say } from '../units/phrase.ts';
import { asBuiltVerdict } from '../as-built/as-built.ts';
import { judge, notMeasured, type Limit, type Verdict } from '../verdict/verdict.ts';
import { around, judgedOr, resolutionOf, unjudged } from './judging.ts';
import type { StationRead } from './read.ts';
import type { Remark, StationSheet } from './sheet.ts';
import { shimPhrase } from './shim-advice.ts';
import { apartRemedy } from './station-remarks.ts';

/** The bare height against the median of its kind. */
export function bareHeight({ bare, kind, read, build }: StationRead): Verdict<Millimetres> {
	if (bare === null) return notMeasured(['height not measured']);
	const { bareMedian, bareReach } = kind;
	if (bareMedian === null || bareReach === null)
		return unjudged(bare, ['fewer than four measured: none can stand apart yet']);
	return judge(bare, {
		sort: 'length',
		limits: around('bare height of its kind', bareMedian, bareReach, 'watch'),
		sources: ['measured'],
		resolution: resolutionOf(read.height!),
		remedy: () => apartRemedy(mm(bare - bareMedian), read.height!.newest, build.locator)
	});
}

/** @param shim what is suggested to lay under it */
export function installedHeight(
	{ height, kind, parts, shared, read, build, isAsked }: StationRead,
	shim: StationSheet['shim']
): Verdict<Millimetres> {
	if (height === null) return notMeasured(['height not measured']);
	const { limits } = shared;
	const aim = kind.target.height;
	const asItStands = parts.aim.school === 'as it stands';
	const among: Limit<Millimetres>[] =
		aim !== null
			? [
					...around('aim', aim, limits.deadBand, 'watch'),
					...around('aim', aim, limits.heightStop, 'stop')
				]
			: asItStands && kind.lowestHeight !== null
				? [{ name: 'lowest for bind', side: 'floor', at: kind.lowestHeight, severity: 'stop' }]
				: [];
	return judgedOr(kind.target.because, height, {
		sort: 'length',
		limits: among,
		sources: ['measured', ...kind.sources.target],
		uncertainty: read.height!.uncertainty,
		resolution: resolutionOf(read.height!),
		remedy: (_, state) => {
			if (isAsked) return ['Answer first what stood under the gauge on this head'];
			if (state === 'too close') return ['Height too close to call: measure it again'];
			return shimPhrase(shim?.answer ?? null, build.shims);
		}
	});
}

/** Off the aim, yet no further than is worth a shim: a note. */
export function insideDeadBand(
	{ height, kind, shared: { limits } }: StationRead,
	verdict: Verdict<Millimetres>
): Remark[] {
	const aim = kind.target.height;
	if (height === null || aim === null || verdict.state !== 'clear') return [];
	const off = mm(Math.abs(height - aim));
	if (toComparisonStep(off - limits.heightTolerance, 'length') <= 0) return [];
	return [
		{ state: 'clear', text: say`${ofLength(off)} off the aim, inside the dead band: leave it` }
	];
}

/** Height measured with everything fitted, against the plan; null until it is. */
export function asBuiltHeight({
	height,
	build,
	read,
	shared: { limits }
}: StationRead): Verdict<Millimetres> | null {
	if (!read.built || height === null) return null;
	const { value, uncertainty } = read.built;
	return asBuiltVerdict(value, { height, ...build }, limits.heightTolerance, uncertainty);
}
