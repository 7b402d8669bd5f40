/** Installed height: against its aim, against its kind, and as it was built. Source: handbook §3 and §4. */
import { mm, toComparisonStep, type Millimetres } from '../units/quantity.ts';
import { message } from '../message/message.ts';
import { asBuiltVerdict } from '../as-built/as-built.ts';
import { judge, notMeasured, type Limit, type Verdict } from '../verdict/verdict.ts';
import { figure } from './figure.ts';
import { around, judgedOr, resolutionOf, unjudged } from './judging.ts';
import type { StationRead } from './read.ts';
import type { Remark } from './remark.ts';
import { shimAction } from './shim-advice.ts';
import { outlierRemedy } from './station-remarks.ts';

declare module '../message/message.ts' {
	interface Messages {
		'need.four-heights': null;
		'height.answer-first': null;
		'height.inconclusive': null;
		'height.in-dead-band': { readonly by: Millimetres };
	}
}
declare module '../verdict/verdict.ts' {
	interface LimitCodes {
		'bare-height': true;
		target: true;
		'lowest-for-bind': true;
	}
}

/** The bare height against the median of its kind. */
export const bareHeight = figure({ dimension: 'length', isColumn: false, verdict: judgedBare });

function judgedBare({ bare, kind, read, build }: StationRead): Verdict<Millimetres> {
	if (bare === null) return notMeasured(message('need.height'));
	const { bareMedian, bareReach } = kind;
	if (bareMedian === null || bareReach === null)
		return unjudged(bare, message('need.four-heights'));
	return judge(bare, {
		dimension: 'length',
		limits: around('bare-height', bareMedian, bareReach, 'watch'),
		sources: ['measured'],
		resolution: resolutionOf(read.height!),
		remedy: () => outlierRemedy(mm(bare - bareMedian), read.height!.newest, build.locator)
	});
}

/** With what stands under it and in it, against the height aimed for. */
export const installedHeight = figure({
	dimension: 'length',
	isColumn: true,
	verdict: judgedInstalled
});

function judgedInstalled({
	height,
	kind,
	parts,
	shared,
	read,
	build,
	isAsked,
	shim
}: StationRead): Verdict<Millimetres> {
	if (height === null) return notMeasured(message('need.height'));
	const { limits } = shared;
	const aim = kind.target.height;
	const asItStands = parts.aim.method === 'as-it-stands';
	const among: Limit<Millimetres>[] =
		aim !== null
			? [
					...around('target', aim, limits.deadBand, 'watch'),
					...around('target', aim, limits.heightStop, 'stop')
				]
			: asItStands && kind.lowestHeight !== null
				? [{ code: 'lowest-for-bind', side: 'floor', at: kind.lowestHeight, severity: 'stop' }]
				: [];
	return judgedOr(kind.target.because, height, {
		dimension: 'length',
		limits: among,
		sources: ['measured', ...kind.sources.target],
		uncertainty: read.height!.uncertainty,
		resolution: resolutionOf(read.height!),
		remedy: (_, state) => {
			if (isAsked) return message('height.answer-first');
			if (state === 'inconclusive') return message('height.inconclusive');
			return shimAction(shim?.answer ?? null, build.shims);
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
	return [{ state: 'clear', text: message('height.in-dead-band', { by: off }) }];
}

/** Height measured with everything fitted, against the plan; null until it is. */
export const asBuiltHeight = figure({ dimension: 'length', isColumn: true, verdict: judgedBuilt });

function judgedBuilt({
	height,
	build,
	read,
	shared: { limits }
}: StationRead): Verdict<Millimetres> | null {
	if (!read.built || height === null) return null;
	const { value, uncertainty } = read.built;
	return asBuiltVerdict(value, { height, ...build }, limits.heightTolerance, uncertainty);
}
