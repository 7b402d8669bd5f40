/** Installed height: with what stands under it and in it, against the height aimed for. Source: docs/trade/sheet.md. */
import { mm, toComparisonStep, type Millimetres } from '../../foundation/units/index.ts';
import { message } from '../../foundation/message/index.ts';
import {
	around,
	combinedUncertainty,
	notMeasured,
	type Limit,
	type Verdict
} from '../../foundation/verdict/index.ts';
import { figure } from './figure.ts';
import { judgedOr, resolutionOf } from './judging.ts';
import type { StationRead } from './read.ts';
import type { Remark } from './remark.ts';
import type { KindSheet } from './kind.ts';
import { shimAction } from './shim-advice.ts';

declare module '../../foundation/message/message.ts' {
	interface Messages {
		'height.answer-first': null;
		'height.inconclusive': null;
		'height.in-dead-band': { readonly by: Millimetres };
	}
}
declare module '../../foundation/verdict/verdict.ts' {
	interface LimitCodes {
		target: true;
		'lowest-for-bind': true;
	}
}

/** In mm; not judged where nothing is aimed for. */
export const installedHeight = figure({
	dimension: 'length',
	isColumn: true,
	verdict: judged
});

function judged({
	height,
	kind,
	parts,
	shared,
	read,
	build,
	isAsked,
	shim,
	sources
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
		sources: [
			sources.height,
			...kind.sources.target.map((source) => ({ of: 'target', source }) as const)
		],
		uncertainty: combinedUncertainty(
			read.height!.uncertainty,
			aim === null ? uncertaintyOfLowest(kind) : kind.target.uncertainty
		),
		resolution: resolutionOf(read.height!),
		remedy: (_, state) => {
			if (isAsked) return message('height.answer-first');
			if (state === 'inconclusive') return message('height.inconclusive');
			return shimAction(shim?.answer ?? null, build.shims);
		}
	});
}

/** Half-width of the interval of the lowest height for bind, in mm; 0 where there is none. */
const uncertaintyOfLowest = ({ bind, lift }: KindSheet): number =>
	combinedUncertainty(bind?.uncertainty ?? 0, lift?.uncertainty ?? 0);

/**
 * Off the aim, yet no further than is worth a shim: a note.
 *
 * @returns one remark at clear, or none where the height is inside its tolerance, not clear or not known
 */
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
