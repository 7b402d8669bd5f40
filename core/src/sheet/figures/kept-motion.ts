/**
 * The motion of a valve as it was worked out and kept with the job: only that can clear a
 * control limit, and only for as long as it was worked out from what stands there now
 * (docs/trade/valvetrain.md#control).
 */
import type { RigidTrain } from '../../valvetrain/control/index.ts';
import type { Job, KeptMotion } from '../../job/document/index.ts';
import { mm } from '../../foundation/units/index.ts';
import type { State } from '../../foundation/verdict/index.ts';
import type { ControlRead } from './control-read.ts';

/** What a valve's motion over engine speed comes to, in rpm of the crankshaft. */
export interface MotionFound {
	/** The lowest speed at which it is off its cam or its seat somewhere in the band; null where it is at none that was looked at. */
	readonly lost: number | null;
	/** The lowest speed by which it is so all over the band; null where it is not. */
	readonly surely: number | null;
	/** The highest speed that was looked at. */
	readonly to: number;
}

/** What a motion says of the highest speed of a job and of the one wanted with headroom, in rpm. */
export function motionState(
	{ lost, surely, to }: MotionFound,
	highest: number,
	wanted: number
): State {
	if (surely !== null && surely < highest) return 'stop';
	if (lost === null) return to < wanted ? 'not-measured' : 'clear';
	// On a soft train it is lost, on a stiff one it is not: which one this is nobody measured.
	if (lost < highest) return 'inconclusive';
	return lost < wanted ? 'watch' : 'clear';
}

/**
 * A motion with what lobe, masses and spring leave open on top of the train's stiffness.
 *
 * @param spread half-width of the 95 % interval of its speeds, as a part of them
 */
export const motionWithin = ({ lost, surely, to }: MotionFound, spread: number): MotionFound => ({
	lost: lost === null ? null : lost * (1 - spread),
	surely: surely === null ? null : surely * (1 + spread),
	to
});

/** Places of the lift at which lobe and spring are looked at. */
const PLACES = 9;

/** Lobes are the same for every station of a kind. */
const shapes = new WeakMap<RigidTrain['lobe'], readonly number[]>();
function shapeOf(lobe: RigidTrain['lobe']): readonly number[] {
	const before = shapes.get(lobe);
	if (before) return before;
	const { opens, closes } = lobe;
	const shape = Array.from({ length: PLACES }, (_, i) =>
		lobe.at(opens + ((closes - opens) * (i + 0.5)) / PLACES)
	).flatMap(({ lift, acceleration }) => [lift, acceleration]);
	shapes.set(lobe, [lobe.peak, opens, closes, ...shape]);
	return shapes.get(lobe)!;
}

/**
 * All that a valve's motion is worked out from, as figures to be compared: lobe (mm, rad),
 * ratio, lash and height (mm), mass (kg), the spring's loads from closed to open (N), how the
 * train and the coils give.
 */
export function motionBasis(train: RigidTrain, { assumed, coils }: ControlRead): number[] {
	const { lobe, ratio, lash, height, mass, curve } = train;
	const lift = ratio * lobe.peak - lash;
	return [
		...shapeOf(lobe),
		ratio,
		lash,
		height,
		mass,
		...Array.from(
			{ length: PLACES },
			(_, i) => curve.load(mm(height - (lift * i) / (PLACES - 1))) ?? -1
		),
		assumed?.stiffness ?? 0,
		assumed?.damping ?? 0,
		coils?.mass ?? 0,
		coils?.damping ?? 0,
		...(assumed?.spread === undefined ? [] : [assumed.spread]),
		// A motion calculated before its band covered every lobe that the card may stand for says too much.
		...(lobe.mayBe ? [lobe.mayBe().length] : [])
	];
}

/** Figures that differ by less than this part of themselves are the same: other machines round otherwise. */
const SAME = 1e-6;
const isSame = (one: number, other: number) =>
	Math.abs(one - other) <= SAME * Math.max(Math.abs(one), Math.abs(other), SAME);

/** The newest motion kept of a station; null where none was kept. */
export function keptMotion({ motions }: Job, station: string): KeptMotion | null {
	const of = motions.flatMap(({ stations }) => stations.filter(({ label }) => label === station));
	return of.at(-1) ?? null;
}

/** Whether a motion was worked out from what stands there now. */
export const isFromThese = ({ basis }: KeptMotion, now: readonly number[]): boolean =>
	basis.length === now.length && basis.every((one, i) => isSame(one, now[i]!));

/** The motion kept of a station where it was worked out from what stands there now; null otherwise. */
export function currentMotion(
	job: Job,
	station: string,
	now: readonly number[]
): KeptMotion | null {
	const kept = keptMotion(job, station);
	return kept && isFromThese(kept, now) ? kept : null;
}
