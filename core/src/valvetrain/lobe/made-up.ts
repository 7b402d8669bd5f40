/**
 * A lobe made up from its lift and one or two durations, where nobody has its table: a smooth
 * polynomial that meets a ramp of constant velocity (docs/trade/valvetrain.md#control). It is an
 * assumption, and every figure that follows from it says so. No cam card states the ramp, so a
 * figure that must hold for the real lobe is calculated over {@link RAMPS}.
 */
import { mm, type Millimetres } from '../../foundation/units/index.ts';
import {
	AT_REST,
	camDegrees,
	crankDegrees,
	durationAt,
	type Lobe,
	type LobeMotion
} from './lobe.ts';
import { root } from './root.ts';

/** A duration as a cam card gives it: degrees of the crankshaft at a lift of the lobe. */
export interface Duration {
	readonly lift: Millimetres;
	readonly degrees: number;
}

export interface MadeUp {
	readonly lift: Millimetres;
	/** At one lift, or at two: the second one shapes the flank. */
	readonly durations: readonly [Duration] | readonly [Duration, Duration];
	/** Where the flank meets its ramp, and how fast the ramp rises. */
	readonly ramp?: Ramp;
	/** Fullness of the flank where one duration is known; see {@link USUAL_FULLNESS}. */
	readonly fullness?: number;
}

/** A ramp of constant velocity: its height at the lobe and its rise per degree of the cam, in mm. */
export interface Ramp {
	readonly height: Millimetres;
	readonly perDegree: Millimetres;
}
const ramp = (height: number, perDegree: number): Ramp => ({
	height: mm(height),
	perDegree: mm(perDegree)
});

/** A ramp as many cams have it. */
export const USUAL_RAMP = ramp(0.15, 0.012);
/**
 * The corners of the range of ramps in use: 0.10 to 0.50 mm high, 0.005 to 0.025 mm per degree of
 * the cam, 8° to 40° long. Source: docs/trade/valvetrain.md#control, shop practice.
 */
export const RAMPS: readonly Ramp[] = [
	ramp(0.1, 0.005),
	ramp(0.1, 0.0125),
	ramp(0.2, 0.025),
	ramp(0.5, 0.025),
	ramp(0.5, 0.0125),
	ramp(0.2, 0.005)
];
/** Fullness of the flank where one duration is known: the real exponent p. */
export const USUAL_FULLNESS = 8;
/**
 * Half of what lobes of the same durations may differ by in acceleration, as a part of it: two
 * tenths where one duration is known, less where a second one shapes the flank. Flanks of
 * other fullness have that much more or less of it at the angles that matter.
 */
export const MADE_UP_SPREAD = { one: 0.2, two: 0.06 } as const;
/** Between these a second duration is looked for. */
const FULLNESS = { min: 4, max: 40 } as const;

/**
 * The lobe.
 *
 * @throws RangeError where no such lobe has these durations
 */
export function madeUpLobe({
	lift,
	durations,
	ramp = USUAL_RAMP,
	fullness = USUAL_FULLNESS
}: MadeUp): Lobe {
	const [first, second] = durations;
	const isSound = [first, ...(second ? [second] : [])].every(
		(one) => one.lift > ramp.height && one.lift < lift && one.degrees > 0 && one.degrees < 720
	);
	if (!isSound) throw new RangeError('no lobe has such durations');
	const velocity = ramp.perDegree / camDegrees(1);
	const withFullness = (p: number) =>
		ofDuration(first, (beta) => lobeOf(lift, ramp.height, velocity, beta, p));
	const lobe = second ? withSecond(second, withFullness) : withFullness(fullness);
	const spread = MADE_UP_SPREAD[second ? 'two' : 'one'];
	return { ...lobe, uncertainty: (angle) => spread * Math.abs(lobe.at(angle).acceleration) };
}

/** Flanks of one known duration may be this full or this lean. */
const FULLNESSES = [6, 14] as const;

/**
 * The lobes that a card with such durations may stand for: one for each corner of the ramps in use
 * and, where one duration is known, for each end of the fullness of the flank. A ramp too high for
 * a stated duration is left out.
 */
export function lobesOverRamps(lift: Millimetres, durations: MadeUp['durations']): Lobe[] {
	const fullnesses = durations.length === 1 ? FULLNESSES : [USUAL_FULLNESS];
	return RAMPS.flatMap((one) =>
		fullnesses.flatMap((fullness) => {
			try {
				return [madeUpLobe({ lift, durations, ramp: one, fullness })];
			} catch (problem) {
				if (!(problem instanceof RangeError)) throw problem;
				return [];
			}
		})
	);
}

/** A lobe, before it is said how far it can be trusted. */
type Shape = Omit<Lobe, 'uncertainty'>;

/** The half width of the flank at which a lobe has this duration: it grows with it. */
function ofDuration({ lift, degrees }: Duration, of: (beta: number) => Shape): Shape {
	const off = (beta: number) => durationAt(of(beta), lift) - degrees;
	return of(root(off, crankDegrees(degrees) / 2, Math.PI));
}

/** The fullness at which a lobe has a second duration as well. */
function withSecond({ lift, degrees }: Duration, of: (p: number) => Shape): Shape {
	const off = (p: number) => durationAt(of(p), lift) - degrees;
	return of(root(off, FULLNESS.min, FULLNESS.max));
}

/**
 * `y = L + Σ Cₑ xᵉ`, `x = |φ|/β`, exponents 2, p, 2p−2, 3p−4, whose second and third
 * derivatives are zero where it meets the ramp. The four conditions are a Vandermonde system in
 * the exponents, so that each coefficient is its Lagrange polynomial at 0 and at 1.
 */
function lobeOf(
	peak: Millimetres,
	rampHeight: number,
	velocity: number,
	beta: number,
	p: number
): Shape {
	const exponents = [2, p, 2 * p - 2, 3 * p - 4];
	const rise = velocity * beta;
	const terms = exponents.map((e) => {
		const lagrange = (t: number) =>
			exponents.reduce((product, f) => (f === e ? product : (product * (t - f)) / (e - f)), 1);
		const [atZero, atOne] = [lagrange(0), lagrange(1)];
		return { e, c: (rampHeight - peak) * atZero - rise * (atOne - atZero) };
	});
	const end = beta + rampHeight / velocity;
	const onFlank = (angle: number): LobeMotion => {
		const x = Math.abs(angle) / beta;
		const side = Math.sign(angle);
		let [lift, velocityAt, acceleration, jerk] = [peak as number, 0, 0, 0];
		for (const { e, c } of terms) {
			lift += c * x ** e;
			velocityAt += (c * e * x ** (e - 1)) / beta;
			acceleration += (c * e * (e - 1) * x ** (e - 2)) / beta ** 2;
			jerk += (c * e * (e - 1) * (e - 2) * x ** Math.max(0, e - 3)) / beta ** 3;
		}
		return { lift, velocity: side * velocityAt, acceleration, jerk: side * jerk };
	};
	return {
		origin: 'made-up',
		peak,
		opens: -end,
		closes: end,
		at: (angle) => {
			const from = Math.abs(angle);
			if (from <= beta) return onFlank(angle);
			if (from >= end) return AT_REST;
			const lift = rampHeight - velocity * (from - beta);
			return { lift, velocity: -Math.sign(angle) * velocity, acceleration: 0, jerk: 0 };
		}
	};
}
