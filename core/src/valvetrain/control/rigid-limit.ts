/**
 * The engine speed at which a spring can just make the valve follow its cam, were the whole
 * train rigid: an upper bound. Real trains part well below it, so that it can say "stop" and
 * "watch", and never "clear" (docs/trade/valvetrain.md#control).
 */
import { goldenSection, type Lobe } from '../lobe/index.ts';
import type { Curve } from '../../springs/spring/index.ts';
import { mm, type Kilograms, type Millimetres } from '../../foundation/units/index.ts';

/** A valve's train, as far as a rigid one goes. */
export interface RigidTrain {
	readonly lobe: Lobe;
	/** Valve lift over lobe lift. */
	readonly ratio: number;
	/** At the valve, in mm; 0 for hydraulic lifters. */
	readonly lash: Millimetres;
	/** The spring that stands there. */
	readonly curve: Curve;
	/** Installed height, in mm. */
	readonly height: Millimetres;
	/** All that follows the cam, at the valve. */
	readonly mass: Kilograms;
}

export interface RigidLimit {
	/** Speed of the crankshaft in rpm at which the margin is nothing. */
	readonly speed: number;
	/** Where on the lobe, in radians of the cam from its peak. */
	readonly angle: number;
}

/** Angles that are known of a lobe, how many of them are passed over at first, and how near to the least a place must be to be looked at closer. */
const SCAN = 360;
const STRIDE = 8;
const NEARLY = 1.015;
/** How often the worst is narrowed down beside a valve that closes. */
const REFINE = 32;

/** Angles of a lobe at which a spring has something to hold, with lift and acceleration there. */
type Held = readonly {
	readonly angle: number;
	readonly lift: number;
	readonly acceleration: number;
}[];
const known = new WeakMap<Lobe, Held>();

/**
 * The cam angles at which the spring has to hold the follower on the lobe: where the lift's second
 * derivative is below zero. Kept for as long as the lobe lives, since every valve of a kind has the same.
 */
function heldAngles(lobe: Lobe): Held {
	const before = known.get(lobe);
	if (before) return before;
	const step = (lobe.closes - lobe.opens) / SCAN;
	const held = Array.from({ length: SCAN + 1 }, (_, i) => lobe.opens + i * step).flatMap(
		(angle) => {
			const { lift, acceleration } = lobe.at(angle);
			return acceleration < 0 ? [{ angle, lift, acceleration }] : [];
		}
	);
	known.set(lobe, held);
	return held;
}

/** Rpm of the crankshaft for an angular speed of the cam in rad/s. */
const rpmOf = (omega: number) => (60 / Math.PI) * omega;

/**
 * The least speed at which the spring's force and the inertia of what it moves are the same,
 * `N = (60/π)·min √(F/(m|z″|))` over the angles where the valve is held by its spring. The
 * worst of them lies off the nose, so all are looked at.
 *
 * @returns null where the spring's load is not known at some lift, or nothing is to be held
 */
export function rigidLimit(train: RigidTrain): RigidLimit | null {
	const { lobe } = train;
	const held = heldAngles(lobe);
	const at = (i: number) => {
		const one = held[i];
		return one ? speedAt(train, one.lift, one.acceleration) : null;
	};
	const rough: { readonly i: number; readonly omega: number }[] = [];
	let min = Number.POSITIVE_INFINITY;
	for (let i = 0; i < held.length; i += STRIDE) {
		const omega = at(i);
		if (omega === null) return null;
		rough.push({ i, omega });
		min = Math.min(min, omega);
	}
	const bound = min * NEARLY;
	let worst = 0;
	let seen = 0;
	for (const { i, omega } of rough) {
		if (omega > bound) continue;
		const to = Math.min(held.length, i + STRIDE);
		for (let k = Math.max(seen, i - STRIDE); k < to; k++) {
			const closer = at(k);
			if (closer === null) return null;
			if (closer <= min) [min, worst] = [closer, k];
		}
		seen = to;
	}
	if (!Number.isFinite(min)) return null;
	const step = (lobe.closes - lobe.opens) / SCAN;
	const about = narrowed(train, held[worst]!.angle, step, [at(worst - 1), min, at(worst + 1)]);
	const { lift, acceleration } = lobe.at(about);
	const omega = speedAt(train, lift, acceleration);
	return omega !== null && omega < min
		? { speed: rpmOf(omega), angle: about }
		: { speed: rpmOf(min), angle: held[worst]!.angle };
}

/**
 * Where the speed is least about a place and its two neighbours: at the vertex of their
 * parabola, or, where the valve closes beside it, by golden section.
 */
function narrowed(
	train: RigidTrain,
	angle: number,
	step: number,
	[left, middle, right]: readonly [number | null, number, number | null]
): number {
	if (left !== null && right !== null && Number.isFinite(left + right)) {
		const bend = left - 2 * middle + right;
		return bend > 0 ? angle + (step * (left - right)) / (2 * bend) : angle;
	}
	const at = (place: number) => {
		const { lift, acceleration } = train.lobe.at(place);
		return speedAt(train, lift, acceleration) ?? Number.POSITIVE_INFINITY;
	};
	return goldenSection(at, angle - step, angle + step, REFINE);
}

/** Angular speed of the cam, in rad/s, at which nothing is left at a lift; null where the load is not known. */
function speedAt(
	{ ratio, lash, curve, height, mass }: RigidTrain,
	lift: number,
	acceleration: number
): number | null {
	const z = ratio * lift - lash;
	if (z <= 0 || acceleration >= 0) return Number.POSITIVE_INFINITY;
	const force = curve.load(mm(height - z));
	if (force === null) return null;
	// mm/rad² to m/rad², so that newtons and kilograms give rad/s.
	return Math.sqrt(force / (mass * ((-ratio * acceleration) / 1000)));
}
