/**
 * A valve on a train that gives: mass at the valve, train and seat as springs with damping,
 * the valve spring from its own curve (handbook §11). It tells where the train parts from the
 * cam, how far the valve bounces and how fast it meets its seat; an aid with stated
 * assumptions, and no promise. SI throughout: m, s, N, kg.
 *
 * Integrated by velocity Verlet at a fixed step, damping taken at the predicted velocity. A
 * contact that begins within a step would be felt for the whole of it: what it had too much or
 * too little is added to the velocity. Both orders of the method are kept so.
 */
import { mm } from '../units/index.ts';
import type { RigidTrain } from './rigid-limit.ts';

/** A train that gives. */
export interface CompliantTrain extends RigidTrain {
	/** Of all between cam and valve, at the valve, in N/m. */
	readonly stiffness: number;
	/** In N·s/m. */
	readonly damping: number;
	readonly seat: { readonly stiffness: number; readonly damping: number };
}

export interface Motion {
	/** How long the train was parted above {@link PARTED_ABOVE}, in s; 0 where it never was. */
	readonly parted: number;
	/** Greatest height above cam and seat after the seat was first met, in m. */
	readonly bounce: number;
	/** At which the seat was first met, in m/s; null where it was not within the cycle. */
	readonly seatingVelocity: number | null;
	/** Greatest force of the train on the valve, in N. */
	readonly greatestForce: number;
	/** Energy of valve and springs less what it was, and what the cam put in, in J: for holding one against the other. */
	readonly energy: { readonly gained: number; readonly put: number };
}

/** Below this lift a train that is parted is opening or closing, in m. */
export const PARTED_ABOVE = 0.00127;
/** So many seconds a step; half of it tells whether that is short enough. */
export const STEP = 2e-6;
/** Points of the lobe and of the spring's curve that are worked out once for a run. */
const POINTS = 4096;

/** What the valve's end of the train would do, were it rigid: lift in m, and its speed in m/s. */
class Cam {
	z = 0;
	zDot = 0;
	readonly #lift = new Float64Array(POINTS + 1);
	readonly #slope = new Float64Array(POINTS + 1);
	readonly #per: number;
	readonly #rest: number;

	constructor({ lobe, ratio, lash }: RigidTrain) {
		this.#per = (lobe.closes - lobe.opens) / POINTS;
		this.#rest = -lash / 1000;
		for (let i = 0; i <= POINTS; i++) {
			const at = lobe.at(lobe.opens + i * this.#per);
			this.#lift[i] = (ratio * at.lift - lash) / 1000;
			this.#slope[i] = ((ratio * at.velocity) / 1000) * this.#per;
		}
	}

	/** So far after the lobe began to open, by a cubic through lift and slope of the points beside. */
	to(angle: number, omega: number): void {
		const at = angle / this.#per;
		if (at >= POINTS) {
			this.z = this.#rest;
			this.zDot = 0;
			return;
		}
		const i = Math.floor(at);
		const t = at - i;
		const [t2, t3] = [t * t, t * t * t];
		const a = this.#lift[i]!;
		const b = this.#lift[i + 1]!;
		const da = this.#slope[i]!;
		const db = this.#slope[i + 1]!;
		this.z =
			a * (2 * t3 - 3 * t2 + 1) + da * (t3 - 2 * t2 + t) + b * (3 * t2 - 2 * t3) + db * (t3 - t2);
		const rise = (a - b) * (6 * t2 - 6 * t) + da * (3 * t2 - 4 * t + 1) + db * (3 * t2 - 2 * t);
		this.zDot = (rise / this.#per) * omega;
	}
}

/** The valve spring over lift: straight pieces between points of its curve. */
class SpringOverLift {
	readonly seat: number;
	readonly #force: Float64Array;
	readonly #perLift: number;

	private constructor(force: Float64Array, deepest: number) {
		this.#force = force;
		this.#perLift = POINTS / deepest;
		this.seat = force[0]!;
	}

	/** Null where its load is not known at some lift of the cam; a valve that parts goes a little on. */
	static of({ lobe, ratio, lash, curve, height }: RigidTrain): SpringOverLift | null {
		const cam = (ratio * lobe.peak - lash) / 1000;
		const deepest = cam + 0.001;
		const force = new Float64Array(POINTS + 1);
		let known = 0;
		for (let i = 0; i <= POINTS; i++) {
			const lift = (i / POINTS) * deepest;
			const load = curve.load(mm(height - lift * 1000));
			if (load === null && lift < cam) return null;
			known = load ?? known;
			force[i] = known;
		}
		return new SpringOverLift(force, deepest);
	}

	at(x: number): number {
		const at = Math.min(Math.max(x, 0) * this.#perLift, POINTS - 1e-9);
		const i = Math.floor(at);
		return this.#force[i]! + (this.#force[i + 1]! - this.#force[i]!) * (at - i);
	}

	/** What it holds more than with the valve closed, by the same pieces. */
	energy(x: number): number {
		const at = Math.min(Math.max(x, 0) * this.#perLift, POINTS - 1e-9);
		const whole = Math.floor(at);
		let sum = ((this.#force[whole]! + this.at(x)) / 2) * (at - whole);
		for (let i = 0; i < whole; i++) sum += (this.#force[i]! + this.#force[i + 1]!) / 2;
		return sum / this.#perLift + Math.min(x, 0) * this.seat;
	}
}

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
	const spring = SpringOverLift.of(train);
	if (!spring) return null;
	const cam = new Cam(train);
	return speeds.map((speed) => integrate(train, cam, spring, speed, step));
}

function integrate(
	{ mass, stiffness, damping, seat }: CompliantTrain,
	cam: Cam,
	spring: SpringOverLift,
	speed: number,
	dt: number
): Motion {
	const omega = (Math.PI * speed) / 60;
	const energyAt = (x: number, v: number) =>
		(mass * v * v) / 2 +
		spring.energy(x) +
		(stiffness * Math.max(0, cam.z - x) ** 2) / 2 +
		(seat.stiffness * Math.max(0, -x) ** 2) / 2;

	// At rest: the spring pressed into the seat, clear of the cam.
	let x = -spring.seat / seat.stiffness;
	let v = 0;
	let a = 0;
	let train = 0;
	cam.to(0, omega);
	const before = energyAt(x, v);
	let [parted, bounce, greatest, put] = [0, 0, 0, 0];
	let seating: number | null = null;
	let wasOpen = false;
	const steps = Math.ceil((2 * Math.PI) / omega / dt);
	for (let n = 0; n < steps; n++) {
		const gapBefore = x - cam.z;
		const xBefore = x;
		const vBefore = v;
		const aBefore = a;
		const putBefore = train * cam.zDot;
		x += v * dt + (a * dt * dt) / 2;
		const predicted = v + a * dt;
		cam.to(omega * (n + 1) * dt, omega);
		const gap = x - cam.z;
		train = gap < 0 ? Math.max(0, -stiffness * gap + damping * (cam.zDot - predicted)) : 0;
		const seated = x < 0 ? Math.max(0, -seat.stiffness * x - seat.damping * predicted) : 0;
		const next = (train + seated - spring.at(x)) / mass;
		v += ((a + next) * dt) / 2;
		a = next;
		// A contact that began at a fraction of this step was felt for half of it, whenever it began.
		if (gap < 0 && gapBefore >= 0) {
			const began = gapBefore / (gapBefore - gap);
			v += ((0.5 - began) * dt * train) / mass;
		}
		if (x < 0 && xBefore >= 0) {
			const began = xBefore / (xBefore - x);
			v += ((0.5 - began) * dt * seated) / mass;
			// Read as it meets the seat, before that has taken anything of it.
			if (wasOpen && seating === null) seating = -(vBefore + aBefore * began * dt);
		}
		put += ((putBefore + train * cam.zDot) * dt) / 2;
		if (x > PARTED_ABOVE) {
			wasOpen = true;
			if (train === 0) parted += dt;
		}
		if (seating !== null) bounce = Math.max(bounce, x - Math.max(cam.z, 0));
		greatest = Math.max(greatest, train);
	}
	return {
		parted,
		bounce,
		seatingVelocity: seating,
		greatestForce: greatest,
		energy: { gained: energyAt(x, v) - before, put }
	};
}

/** Steps of the scan for where the train parts first, and how near it is told. */
const SCAN = 1.02;
const NEAR = 1e-5;

/**
 * The lowest speed at which a train parts from its cam.
 *
 * @param from and `to` speeds of the crankshaft in rpm
 * @returns rpm; null where it does not part between them, or its spring is not known
 */
export function separationSpeed(
	train: CompliantTrain,
	from: number,
	to: number,
	step = STEP
): number | null {
	const spring = SpringOverLift.of(train);
	if (!spring) return null;
	const cam = new Cam(train);
	const parts = (speed: number) => integrate(train, cam, spring, speed, step).parted > 0;
	let low = from;
	let high = from;
	while (!parts(high)) {
		low = high;
		if (high >= to) return null;
		high = Math.min(to, high * SCAN);
	}
	while ((high - low) / high > NEAR) {
		const middle = (low + high) / 2;
		if (parts(middle)) high = middle;
		else low = middle;
	}
	return (low + high) / 2;
}
