/** How one valve moves at one engine speed, over the crankshaft's angle (docs/trade/valvetrain.md#control). */
import { motionTraced, TRACE_POINTS, type Motion } from '../../control/index.ts';
import { camDegrees } from '../../lobe/index.ts';
import { mm, newtons, type Millimetres, type Newtons } from '../../../foundation/units/index.ts';
import { compliantOf, type Controlled } from './of-job.ts';
import { TELLS_TO } from './sweep.ts';

export interface CourseAt {
	/** Degrees of the crankshaft from the peak of the lobe. */
	readonly degree: number;
	readonly valve: Millimetres;
	/** Where a rigid train would have the valve; 0 on its seat. */
	readonly cam: Millimetres;
	/** Between cam and valve: none where they are parted. */
	readonly force: Newtons;
	readonly seat: Newtons;
}

export interface Course {
	readonly motion: Motion;
	readonly points: readonly CourseAt[];
}

/** Degrees of the crankshaft that are shown beyond the lobe's end, where a valve may bounce. */
const BEYOND = 60;

/**
 * The course of a valve over a turn.
 *
 * @param speed of the crankshaft in rpm
 * @param softer what the train's stiffness is multiplied by
 * @param separation where it parts first, in rpm: beyond so much more the model tells nothing; null where that is not known
 * @returns null where the spring's load is not known at some lift, or the model tells nothing
 */
export function courseAt(
	controlled: Controlled,
	speed: number,
	{ softer = 1, separation = null }: { softer?: number; separation?: number | null } = {}
): Course | null {
	if (separation !== null && speed > TELLS_TO * separation) return null;
	const traced = motionTraced(compliantOf(controlled, softer), speed);
	if (!traced) return null;
	const { lobe } = controlled.train;
	const { valve, cam, force, seat } = traced.trace;
	// The crankshaft turns twice for one turn of the cam.
	const opens = (2 * lobe.opens) / camDegrees(1);
	const closes = (2 * lobe.closes) / camDegrees(1);
	const points = Array.from({ length: TRACE_POINTS }, (_, i): CourseAt => {
		return {
			degree: opens + (720 * (i + 1)) / TRACE_POINTS,
			valve: mm(valve[i]! * 1000),
			cam: mm(Math.max(0, cam[i]!) * 1000),
			force: newtons(force[i]!),
			seat: newtons(seat[i]!)
		};
	}).filter(({ degree }) => degree <= closes + BEYOND);
	return { motion: traced.motion, points };
}
