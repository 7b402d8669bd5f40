/**
 * A valve on a train that gives: mass at the valve, train and seat as springs with damping,
 * the valve spring from its own curve (docs/trade/valvetrain.md#control). It tells where the train parts from the
 * cam, how far the valve bounces and how fast it meets its seat; an aid with stated
 * assumptions, and no promise. SI throughout: m, s, N, kg.
 *
 * Integrated by velocity Verlet at a fixed step, damping taken at the predicted velocity. A
 * contact that begins within a step would be felt for the whole of it: what it had too much or
 * too little is added to the velocity. Both orders of the method are kept so.
 */
import { DrawnCam, DrawnSpring } from './drawn.ts';
import type { CompliantTrain, Motion } from './motion.ts';
import { MotionTrace } from './motion-trace.ts';
import { Run } from './run.ts';

/** So many seconds a step; half of it tells whether that is short enough. */
export const STEP = 2e-6;
/**
 * The motion of a valve over one turn of the cam, from rest on its seat.
 *
 * @param speed of the crankshaft in rpm
 * @returns null where the spring's load is not known at some lift
 */
export function motionAt(train: CompliantTrain, speed: number, step = STEP): Motion | null {
	return motionsAt(train, [speed], step)?.[0] ?? null;
}

/** The same at several engine speeds, for which lobe and spring are worked out once. */
export function motionsAt(
	train: CompliantTrain,
	speeds: readonly number[],
	step = STEP
): Motion[] | null {
	const spring = DrawnSpring.of(train);
	if (!spring) return null;
	const cam = seatedCam(train, spring);
	return speeds.map((speed) => integrate(train, cam, spring, speed, step));
}

/**
 * The motion at one engine speed with its course over the turn.
 *
 * @returns null where the spring's load is not known at some lift
 */
export function motionTraced(
	train: CompliantTrain,
	speed: number,
	step = STEP
): { readonly motion: Motion; readonly trace: MotionTrace } | null {
	const spring = DrawnSpring.of(train);
	if (!spring) return null;
	const trace = new MotionTrace();
	const motion = integrate(train, seatedCam(train, spring), spring, speed, step, trace);
	return { motion, trace };
}

/** The cam with its lash measured from the valve at rest on its seat, which the spring has pressed in by F/K. */
const seatedCam = (train: CompliantTrain, spring: DrawnSpring) =>
	new DrawnCam(train, spring.seat / train.seat.stiffness);

/** Turns until coils that swing do the same every time: at most, and what may be left of the first. */
const MAX_TURNS = 6;
const LEFT = 1e-4;

function turnsOf({ surge }: CompliantTrain, omega: number): number {
	if (!surge) return 1;
	const fading = (2 * Math.PI) ** 2 * surge.frequency * surge.damping;
	return Math.min(MAX_TURNS, 1 + Math.ceil((-Math.log(LEFT) * omega) / fading));
}

function integrate(
	train: CompliantTrain,
	cam: DrawnCam,
	spring: DrawnSpring,
	speed: number,
	dt: number,
	trace?: MotionTrace
): Motion {
	const omega = (Math.PI * speed) / 60;
	const run = new Run(train, cam, spring, omega, dt);
	for (let turn = turnsOf(train, omega); turn > 1; turn--) run.turn();
	return run.turn(trace);
}

/** Steps of the scan for where the train parts first, and how near it is told unless somebody asks for less. */
const SCAN = 1.02;
const NEAR = 1e-5;

/**
 * The lowest speed at which a train parts from its cam.
 *
 * @param from and `to` speeds of the crankshaft in rpm
 * @param near how near it is told, as a part of it
 * @returns rpm; null where it does not part between them, or its spring is not known
 */
export function separationSpeed(
	train: CompliantTrain,
	from: number,
	to: number,
	{ step = STEP, near = NEAR }: { step?: number; near?: number } = {}
): number | null {
	const spring = DrawnSpring.of(train);
	if (!spring) return null;
	const cam = seatedCam(train, spring);
	const parts = (speed: number) => integrate(train, cam, spring, speed, step).parted > 0;
	let low = from;
	let high = from;
	while (!parts(high)) {
		low = high;
		if (high >= to) return null;
		high = Math.min(to, high * SCAN);
	}
	while ((high - low) / high > near) {
		const middle = (low + high) / 2;
		if (parts(middle)) high = middle;
		else low = middle;
	}
	return (low + high) / 2;
}
