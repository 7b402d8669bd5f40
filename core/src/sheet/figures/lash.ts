/** Lash of solid lifters, against what was to be set. Source: docs/trade/valvetrain.md#lash. */
import { lengthOf, type Millimetres } from '../../foundation/units/index.ts';
import { message } from '../../foundation/message/index.ts';
import { lashVerdict } from '../../valvetrain/lash/index.ts';
import { notMeasured, type Verdict } from '../../foundation/verdict/index.ts';
import { figure } from './figure.ts';
import { unjudged } from './judging.ts';
import type { StationRead } from './read.ts';

declare module '../../foundation/message/message.ts' {
	interface Messages {
		'need.lash': null;
		'need.lash-setting': null;
	}
}

/** null for hydraulic lifters, which have none. */
export const lash = figure({ dimension: 'length', isColumn: true, verdict: judged });

function judged({ job, parts, read }: StationRead): Verdict<Millimetres> | null {
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
