/** A valve's motion over engine speed, with the band that its train's stiffness leaves open (docs/trade/valvetrain.md#control). */
import {
	motionsAt,
	separationSpeed,
	STIFFNESS_SPREAD,
	type CompliantTrain,
	type Motion
} from '../../control/index.ts';
import type { MotionFound } from '../../../sheet/figures/index.ts';
import type { Controlled } from './of-job.ts';
import { compliantOf } from './of-job.ts';

/** The ends of the band and its middle, by what the stiffness is multiplied by. */
export const BAND = {
	low: 1 - STIFFNESS_SPREAD,
	middle: 1,
	high: 1 + STIFFNESS_SPREAD
} as const;
export type BandEnd = keyof typeof BAND;

/** Speeds of a sweep: so many, from this part of the rigid limit to past it. */
const SPEEDS = 60;
const RANGE = { from: 0.3, to: 1.05 } as const;
/** Beyond so many times the speed of separation a model of one mass tells nothing. */
export const TELLS_TO = 1.15;

/** A sweep tells where a train parts no nearer than this part of it: its stiffness is known far worse. */
const NEAR = 1e-3;

export interface ControlSweep {
	readonly speeds: readonly number[];
	/** Motion at each speed, for each end of the band; null beyond what the model tells. */
	readonly motions: Readonly<Record<BandEnd, readonly (Motion | null)[]>>;
	/** In rpm, where train and cam part above 1.27 mm of lift; null where they do not within the sweep. */
	readonly separation: Readonly<Record<BandEnd, number | null>>;
}

/**
 * Sweeps a station.
 *
 * @param tell told how much of it is done, 0 to 1
 * @returns null where its spring's load is not known at some lift
 */
export function controlSweep(
	controlled: Controlled,
	tell: (done: number) => void = () => undefined
): ControlSweep | null {
	const { speed } = controlled.limit;
	const [from, to] = [RANGE.from * speed, RANGE.to * speed];
	const speeds = Array.from({ length: SPEEDS }, (_, i) => from + ((to - from) * i) / (SPEEDS - 1));
	const ends = Object.keys(BAND) as BandEnd[];
	const swept = ends.map((end, i) => {
		const atEnd = sweepOf(compliantOf(controlled, BAND[end]), speeds);
		tell((i + 1) / ends.length);
		return [end, atEnd] as const;
	});
	if (swept.some(([, atEnd]) => atEnd === null)) return null;
	const of = <T>(pick: (atEnd: NonNullable<(typeof swept)[number][1]>) => T) =>
		Object.fromEntries(swept.map(([end, atEnd]) => [end, pick(atEnd!)])) as Record<BandEnd, T>;
	return {
		speeds,
		motions: of(({ motions }) => motions),
		separation: of(({ separation }) => separation)
	};
}

function sweepOf(train: CompliantTrain, speeds: readonly number[]) {
	const motions = motionsAt(train, speeds);
	if (!motions) return null;
	const first = motions.findIndex(({ parted }) => parted > 0);
	const separation =
		first < 0
			? null
			: first === 0
				? speeds[0]!
				: separationSpeed(train, speeds[first - 1]!, speeds[first]!, { near: NEAR });
	return {
		separation,
		motions: motions.map((motion, i) =>
			separation !== null && speeds[i]! > TELLS_TO * separation ? null : motion
		)
	};
}

/** Bounce off the seat beyond which a valve counts as lost, in m. */
export const MAX_BOUNCE = 2e-4;

/** The lowest speed at which the valve is off its cam or its seat, for each end of the band; infinite where it is not within the sweep. */
function lostAt({ speeds, motions, separation }: ControlSweep): number[] {
	return (Object.keys(BAND) as BandEnd[]).map((end) => {
		const bounces = motions[end].findIndex(
			(motion) => motion !== null && motion.bounce > MAX_BOUNCE
		);
		const never = Number.POSITIVE_INFINITY;
		return Math.min(separation[end] ?? never, speeds[bounces] ?? never);
	});
}

/** What a sweep comes to, as a job keeps it. */
export function motionFound(sweep: ControlSweep): MotionFound {
	const lost = lostAt(sweep);
	const known = (speed: number) => (Number.isFinite(speed) ? speed : null);
	return {
		lost: known(Math.min(...lost)),
		surely: known(Math.max(...lost)),
		to: sweep.speeds.at(-1)!
	};
}
