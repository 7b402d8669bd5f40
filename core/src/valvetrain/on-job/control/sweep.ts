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

/** The middle of the stiffness band and its ends. */
const ENDS = ['low', 'middle', 'high'] as const;
export type BandEnd = (typeof ENDS)[number];

/** What the stiffness is multiplied by at the ends of its band and in the middle. */
function bandOf({ assumed }: Pick<Controlled, 'assumed'>): Readonly<Record<BandEnd, number>> {
	const spread = assumed.spread ?? STIFFNESS_SPREAD;
	return { low: 1 - spread, middle: 1, high: 1 + spread };
}

/** Speeds of a sweep: so many, from this part of the rigid limit to past it. */
const SPEEDS = 60;
const RANGE = { from: 0.3, to: 1.05 } as const;
/** Beyond so many times the speed of separation a model of one mass tells nothing. */
export const TELLS_TO = 1.15;

/** Of the speeds of a sweep, every second is looked at for each other lobe. */
const STRIDE = 2;

/** Bounce off the seat beyond which a valve counts as lost, in m. */
export const MAX_BOUNCE = 2e-4;

/** A sweep tells where a train parts no nearer than this part of it: its stiffness is known far worse. */
const NEAR = 1e-3;

export interface ControlSweep {
	readonly speeds: readonly number[];
	/** What the stiffness was multiplied by. */
	readonly band: Readonly<Record<BandEnd, number>>;
	/** Motion at each speed, for each end of the band; null beyond what the model tells. */
	readonly motions: Readonly<Record<BandEnd, readonly (Motion | null)[]>>;
	/** In rpm, where train and cam part above 1.27 mm of lift; null where they do not within the sweep. */
	readonly separation: Readonly<Record<BandEnd, number | null>>;
	/**
	 * In rpm, for each other lobe that the cam card may stand for, at the middle of the stiffness band,
	 * the lowest speed at which the valve is off its cam or its seat; infinite where there is none.
	 */
	readonly overLobes: readonly number[];
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
	const band = bandOf(controlled);
	const others = controlled.train.lobe.mayBe?.() ?? [];
	const parts = ENDS.length + others.length;
	const swept = ENDS.map((end, i) => {
		const atEnd = sweepOf(compliantOf(controlled, band[end]), speeds);
		tell((i + 1) / parts);
		return [end, atEnd] as const;
	});
	if (swept.some(([, atEnd]) => atEnd === null)) return null;
	const of = <T>(pick: (atEnd: NonNullable<(typeof swept)[number][1]>) => T) =>
		Object.fromEntries(swept.map(([end, atEnd]) => [end, pick(atEnd!)])) as Record<BandEnd, T>;
	return {
		speeds,
		band,
		motions: of(({ motions }) => motions),
		separation: of(({ separation }) => separation),
		overLobes: others.map((lobe, i) => {
			const other = { ...controlled, train: { ...controlled.train, lobe } };
			tell((ENDS.length + i + 1) / parts);
			return firstLost(compliantOf(other), speeds);
		})
	};
}

/** The lowest of some speeds at which a valve is off its cam or its seat, in rpm; infinite where it is lost at none. */
function firstLost(train: CompliantTrain, speeds: readonly number[]): number {
	const isLost = (speed: number) => {
		const [motion] = motionsAt(train, [speed]) ?? [];
		return motion !== undefined && (motion.parted > 0 || motion.bounce > MAX_BOUNCE);
	};
	for (let i = 0; i < speeds.length; i += STRIDE) {
		if (!isLost(speeds[i]!)) continue;
		const between = speeds[i - 1];
		return between !== undefined && isLost(between) ? between : speeds[i]!;
	}
	return Number.POSITIVE_INFINITY;
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

/** The lowest speed at which the valve is off its cam or its seat, for each end of the band; infinite where it is not within the sweep. */
function lostAt({ speeds, motions, separation }: ControlSweep): number[] {
	return ENDS.map((end) => {
		const bounces = motions[end].findIndex(
			(motion) => motion !== null && motion.bounce > MAX_BOUNCE
		);
		const never = Number.POSITIVE_INFINITY;
		return Math.min(separation[end] ?? never, speeds[bounces] ?? never);
	});
}

/**
 * Returns what a sweep comes to over its whole band, as a job keeps it. Stiffness and the lobe that
 * the card stands for are independent of each other, so how far each moves the speed is combined as
 * the root of the sum of squares.
 */
export function motionFound(sweep: ControlSweep): MotionFound {
	const [low, middle, high] = lostAt(sweep) as [number, number, number];
	const to = sweep.speeds.at(-1)!;
	// Beyond the last speed nothing is known: what is not lost within the sweep is taken as lost there.
	const within = (speed: number) => Math.min(speed, to);
	const lobes = sweep.overLobes.map(within);
	const nominal = within(middle);
	const below = Math.hypot(
		nominal - Math.min(nominal, within(low), within(high)),
		nominal - Math.min(nominal, ...lobes)
	);
	const above = Math.hypot(
		Math.max(nominal, within(low), within(high)) - nominal,
		Math.max(nominal, ...lobes) - nominal
	);
	const all = [low, middle, high, ...sweep.overLobes];
	const isLostSomewhere = all.some(Number.isFinite);
	return {
		lost: isLostSomewhere ? nominal - below : null,
		surely: all.every(Number.isFinite) ? nominal + above : null,
		to
	};
}
