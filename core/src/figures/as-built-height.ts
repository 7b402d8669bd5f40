/** Height measured with everything fitted, against the plan. Source: handbook §4. */
import type { Millimetres } from '../units/index.ts';
import { asBuiltVerdict } from '../as-built/index.ts';
import type { Verdict } from '../verdict/index.ts';
import { figure } from './figure.ts';
import type { StationRead } from './read.ts';

/** null until it is measured. */
export const asBuiltHeight = figure({ dimension: 'length', isColumn: true, verdict: judged });

function judged({
	height,
	build,
	read,
	shared: { limits }
}: StationRead): Verdict<Millimetres> | null {
	if (!read.built || height === null) return null;
	const { value, uncertainty } = read.built;
	return asBuiltVerdict(value, { height, ...build }, limits.heightTolerance, uncertainty);
}
