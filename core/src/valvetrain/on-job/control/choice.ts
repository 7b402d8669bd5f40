/** What a choice of springs comes to at the valve that is lost first: more control costs seats, tips and lifters (docs/trade/valvetrain.md#control). */
import { motionAt } from '../../control/index.ts';
import type { Sheet } from '../../../sheet/evaluation/index.ts';
import type { Kind } from '../../../foundation/station/index.ts';
import {
	newtons,
	type Joules,
	type Newtons,
	type RevolutionsPerMinute
} from '../../../foundation/units/index.ts';
import { compliantOf, controlledStations, type Controlled } from './of-job.ts';

export interface ControlTally {
	/** The valve of the kind that is lost first. */
	readonly station: string;
	readonly limit: RevolutionsPerMinute;
	/** What the cam's nose carries of the spring at full lift. */
	readonly nose: Newtons | null;
	/** In m/s at the job's highest speed; null where nobody named it or the model does not tell. */
	readonly seating: number | null;
	/** Held by the spring at full lift. */
	readonly energy: Joules | null;
}

/** The valve that is lost first; null for none. */
export const weakest = (controlled: readonly Controlled[]): Controlled | null =>
	controlled.reduce<Controlled | null>(
		(min, one) => (min && min.limit.speed <= one.limit.speed ? min : one),
		null
	);

/**
 * The figures of a choice, for one kind of valve.
 *
 * @param speed highest of the job in rpm; null where nobody named it
 * @returns null where the control of no valve of the kind can be worked out
 */
export function controlTally(sheet: Sheet, kind: Kind, speed: number | null): ControlTally | null {
	const found = weakest(controlledStations(sheet).filter((one) => one.kind === kind));
	if (!found) return null;
	const { figures, energy } = sheet.stations.find(({ label }) => label === found.station)!;
	const open = figures.openLoad.figure as Newtons | null;
	return {
		station: found.station,
		limit: found.limit.speed as RevolutionsPerMinute,
		nose: open === null ? null : newtons(open * found.train.ratio),
		seating: speed === null ? null : (motionAt(compliantOf(found), speed)?.seatingVelocity ?? null),
		energy
	};
}
