/** Least clearance between piston and valve, a lifter's pump-up taken off. Source: docs/trade/job.md#head-work. */
import { pistonVerdict } from '../checks/index.ts';
import type { Millimetres } from '../../foundation/units/index.ts';
import type { Verdict } from '../../foundation/verdict/index.ts';
import { figure } from './figure.ts';
import type { StationRead } from './read.ts';

/** null until it is measured. */
export const pistonToValve = figure({
	dimension: 'length',
	isColumn: true,
	verdict: judged
});

function judged({
	checks: { piston },
	job,
	pumpUp,
	shared,
	station
}: StationRead): Verdict<Millimetres> | null {
	return (
		piston && pistonVerdict(piston, pumpUp, shared.limits.pistonFloors[station.kind], job.setup)
	);
}
