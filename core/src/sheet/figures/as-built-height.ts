/** Height measured with everything fitted, against the plan. Source: docs/trade/sheet.md#target-height. */
import type { Millimetres } from '../../foundation/units/index.ts';
import { asBuiltLimits, asBuiltVerdict } from '../as-built/index.ts';
import { uncertaintyOfDifference } from '../../job/document/index.ts';
import type { Verdict } from '../../foundation/verdict/index.ts';
import { figure } from './figure.ts';
import type { StationRead } from './read.ts';

/** null until it is measured. */
export const asBuiltHeight = figure({ dimension: 'length', isColumn: true, verdict: judged });

function judged({
	height,
	build,
	read,
	shared: { limits, stock }
}: StationRead): Verdict<Millimetres> | null {
	if (!read.built || height === null) return null;
	// The planned height stands on a reading too.
	const unsure = uncertaintyOfDifference(read.built, read.height!);
	const shims = [...build.shims, ...stock.map(({ thickness }) => thickness)];
	const within = asBuiltLimits(limits.heightTolerance, shims, limits.heightStop);
	return asBuiltVerdict(read.built.value, { height, ...build }, within, unsure);
}
