/** A valve's motion over engine speed, with the band that its train's stiffness leaves open (handbook §11). */
import { motionsAt, separationSpeed, type CompliantTrain, type Motion } from '../control/index.ts';
import type { State } from '../verdict/index.ts';
import type { Controlled } from './of-job.ts';
import { compliantOf } from './of-job.ts';
import { STIFFNESS_SPREAD, type Assumed } from './assumed.ts';

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
	assumed: Assumed,
	tell: (done: number) => void = () => undefined
): ControlSweep | null {
	const { speed } = controlled.limit;
	const [from, to] = [RANGE.from * speed, RANGE.to * speed];
	const speeds = Array.from({ length: SPEEDS }, (_, i) => from + ((to - from) * i) / (SPEEDS - 1));
	const ends = Object.keys(BAND) as BandEnd[];
	const swept = ends.map((end, i) => {
		const told = sweepOf(compliantOf(controlled, assumed, BAND[end]), speeds);
		tell((i + 1) / ends.length);
		return [end, told] as const;
	});
	if (swept.some(([, told]) => told === null)) return null;
	const of = <T>(pick: (told: NonNullable<(typeof swept)[number][1]>) => T) =>
		Object.fromEntries(swept.map(([end, told]) => [end, pick(told!)])) as Record<BandEnd, T>;
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
				: separationSpeed(train, speeds[first - 1]!, speeds[first]!);
	return {
		separation,
		motions: motions.map((motion, i) =>
			separation !== null && speeds[i]! > TELLS_TO * separation ? null : motion
		)
	};
}

/** Bounce off the seat beyond which a valve counts as lost, in m. */
export const MOST_BOUNCE = 2e-4;

/** The lowest speed at which the valve is off its cam or its seat, over the whole band; null where it is not within the sweep. */
export function lostFrom({ speeds, motions, separation }: ControlSweep): number | null {
	const lost = (Object.keys(BAND) as BandEnd[]).flatMap((end) => {
		const bounces = motions[end].findIndex(
			(motion) => motion !== null && motion.bounce > MOST_BOUNCE
		);
		return [separation[end] ?? [], bounces < 0 ? [] : speeds[bounces]!].flat();
	});
	return lost.length > 0 ? Math.min(...lost) : null;
}

/** What a sweep says of the highest speed of a job and of the one wanted with headroom, in rpm. */
export function sweptState(sweep: ControlSweep, highest: number, wanted: number): State {
	const lost = lostFrom(sweep);
	if (lost === null) return sweep.speeds.at(-1)! < wanted ? 'not-measured' : 'clear';
	if (lost < highest) return 'stop';
	return lost < wanted ? 'watch' : 'clear';
}
