/** One integration of a valve's motion, step by step; see `compliant.ts` for what it is asked. */
import type { CompliantTrain, Motion } from './motion.ts';
import type { DrawnCam, DrawnSpring } from './drawn.ts';
import type { MotionTrace } from './motion-trace.ts';
import { SwingingCoils } from './swinging-coils.ts';

/** Below this lift a train that is parted is opening or closing, in m. */
export const PARTED_ABOVE = 0.00127;
/** A valve that moves less than this, in m and m/s, while its cam is closed rests until the next turn. */
const AT_REST = { x: 1e-7, v: 4e-3 } as const;

/**
 * An integration under way, kept in plain variables: a hundred thousand steps are asked of it.
 *
 * @param omega of the cam in rad/s, and `dt` of a step in s
 */
export class Run {
	readonly #train: CompliantTrain;
	readonly #cam: DrawnCam;
	readonly #spring: DrawnSpring;
	readonly #omega: number;
	readonly #dt: number;
	readonly #coils: SwingingCoils | null;
	readonly #shut: ReturnType<typeof shut>;
	/** Height, speed and acceleration of the valve where a turn begins. */
	#x: number;
	#v = 0;
	#a = 0;

	constructor(
		train: CompliantTrain,
		cam: DrawnCam,
		spring: DrawnSpring,
		omega: number,
		dt: number
	) {
		this.#train = train;
		this.#cam = cam;
		this.#spring = spring;
		this.#omega = omega;
		this.#dt = dt;
		this.#coils = train.surge ? new SwingingCoils(train.surge, dt) : null;
		this.#shut = shut(train, spring.seat);
		this.#x = this.#shut.at;
	}

	/**
	 * One turn of the cam, from where the lobe begins to open.
	 *
	 * @param trace takes down the motion on its way
	 */
	turn(trace?: MotionTrace): Motion {
		const { stiffness, damping, seat, mass } = this.#train;
		const [cam, spring, coils, omega, dt] = [
			this.#cam,
			this.#spring,
			this.#coils,
			this.#omega,
			this.#dt
		];
		/** What must be pushed, the coils' share of their own swinging taken off. */
		const pushed = mass - (coils?.own ?? 0);
		const { at: rest, stiffness: bed } = this.#shut;
		const steps = Math.ceil((2 * Math.PI) / omega / dt);
		let [x, v, a] = [this.#x, this.#v, this.#a];
		cam.to(0, omega);
		const before = this.#energyAt(x, v);
		let [force, parted, bounce, max, put] = [0, 0, 0, 0, 0];
		let seating: number | null = null;
		let wasOpen = false;
		for (let n = 0; n < steps; n++) {
			// Coils that swing press a shut valve deeper into its seat and let it up, and no more than that.
			if (wasOpen && cam.isClosed && isStill(x - rest - (coils?.pushed ?? 0) / bed, v)) {
				coils?.decay((steps - n) * dt);
				trace?.rest(n / steps, rest, spring.seat);
				break;
			}
			const gapBefore = x - cam.z;
			const putBefore = force * cam.zDot;
			const [xBefore, vBefore, aBefore] = [x, v, a];
			x += v * dt + (a * dt * dt) / 2;
			const predicted = v + a * dt;
			cam.to(omega * (n + 1) * dt, omega);
			const gap = x - cam.z;
			force = gap < 0 ? Math.max(0, -stiffness * gap + damping * (cam.zDot - predicted)) : 0;
			const seated = x < 0 ? Math.max(0, -seat.stiffness * x - seat.damping * predicted) : 0;
			a = (force + seated - spring.at(x) + (coils ? coils.push() : 0)) / pushed;
			coils?.follow(a);
			v += ((aBefore + a) * dt) / 2;
			// A contact that began at a fraction of this step was felt for half of it, whenever it began.
			if (gap < 0 && gapBefore >= 0)
				v += ((0.5 - gapBefore / (gapBefore - gap)) * dt * force) / pushed;
			if (x < 0 && xBefore >= 0) {
				const began = xBefore / (xBefore - x);
				v += ((0.5 - began) * dt * seated) / pushed;
				// As it meets the seat, before the seat has slowed it; a later landing may be harder than the first.
				const landing = -(vBefore + aBefore * began * dt);
				if (wasOpen && landing > (seating ?? 0)) seating = landing;
			}
			put += ((putBefore + force * cam.zDot) * dt) / 2;
			if (x > PARTED_ABOVE) {
				wasOpen = true;
				if (force === 0) parted += dt;
			}
			if (seating !== null) bounce = Math.max(bounce, x - Math.max(cam.z, 0));
			if (force > max) max = force;
			trace?.add((n + 1) / steps, x, cam.z, force, seated);
		}
		[this.#x, this.#v, this.#a] = [x, v, a];
		const energy = { gained: this.#energyAt(x, v) - before, put };
		return { parted, bounce, seatingVelocity: seating, maxForce: max, energy };
	}

	#energyAt(x: number, v: number): number {
		const { mass, stiffness, seat } = this.#train;
		return (
			(mass * v * v) / 2 +
			this.#spring.energy(x) +
			(stiffness * Math.max(0, this.#cam.z - x) ** 2) / 2 +
			(seat.stiffness * Math.max(0, -x) ** 2) / 2
		);
	}
}

/**
 * Where a valve rests, in m, pressed into its seat by the spring, and what it rests on, in N/m: its
 * seat and, where there is no lash to keep them apart, the valvetrain too.
 */
function shut({ stiffness, seat, lash }: CompliantTrain, load: number) {
	const at = -load / seat.stiffness;
	return { at, stiffness: lash > 0 ? seat.stiffness : stiffness + seat.stiffness };
}

/** Whether a valve so far off its seat (m) and so fast (m/s) counts as at rest. */
const isStill = (off: number, v: number) => Math.abs(off) < AT_REST.x && Math.abs(v) < AT_REST.v;
