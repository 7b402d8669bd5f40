/**
 * Lobe and spring worked out once for a run: what an integration asks for a hundred thousand
 * times, without an allocation.
 */
import { mm } from '../../foundation/units/index.ts';
import type { RigidTrain } from './rigid-limit.ts';

/** Points of the lobe and of the spring's curve that are worked out once for a run. */
const POINTS = 4096;

/** What the valve's end of the train would do, were it rigid: lift in m, and its speed in m/s. */
export class DrawnCam {
	z = 0;
	/** Beyond the lobe, on the base circle. */
	isClosed = false;
	zDot = 0;
	readonly #lift = new Float64Array(POINTS + 1);
	readonly #slope = new Float64Array(POINTS + 1);
	readonly #per: number;
	readonly #rest: number;

	/** @param pressed how far the spring has pressed the valve into its seat, in m: lash is measured from there */
	constructor({ lobe, ratio, lash }: RigidTrain, pressed = 0) {
		this.#per = (lobe.closes - lobe.opens) / POINTS;
		this.#rest = -lash / 1000 - pressed;
		for (let i = 0; i <= POINTS; i++) {
			const at = lobe.at(lobe.opens + i * this.#per);
			this.#lift[i] = (ratio * at.lift - lash) / 1000 - pressed;
			this.#slope[i] = ((ratio * at.velocity) / 1000) * this.#per;
		}
	}

	/** So far after the lobe began to open, by a cubic through lift and slope of the points beside. */
	to(angle: number, omega: number): void {
		const at = angle / this.#per;
		this.isClosed = at >= POINTS;
		if (this.isClosed) {
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
export class DrawnSpring {
	readonly seat: number;
	readonly #force: Float64Array;
	readonly #perLift: number;

	private constructor(force: Float64Array, deepest: number) {
		this.#force = force;
		this.#perLift = POINTS / deepest;
		this.seat = force[0]!;
	}

	/** Null where its load is not known at some lift of the cam; a valve that parts goes a little on. */
	static of({ lobe, ratio, lash, curve, height }: RigidTrain): DrawnSpring | null {
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
		return new DrawnSpring(force, deepest);
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
