/** What a spring gives and what the motion asks of it, over the turn of the cam. Source: docs/trade/valvetrain.md#control. */
import type { RigidTrain } from '../../control/index.ts';
import { camDegrees } from '../../lobe/index.ts';
import { mm, newtons, type Millimetres, type Newtons } from '../../../foundation/units/index.ts';

export interface ForcesAt {
	/** Degrees of the cam from the nose. */
	readonly degree: number;
	readonly lift: Millimetres;
	/** Null where the spring's load is not known. */
	readonly spring: Newtons | null;
	/** What keeps the valve on its cam: below nothing while the cam pushes. */
	readonly needed: Newtons;
}

/** Points of a turn that are shown. */
const POINTS = 180;

/**
 * Spring force beside the force that the valve's motion needs, `−m·z″·ω²`, while the valve is open.
 *
 * @param speed of the crankshaft in rpm
 */
export function forcesOver(train: RigidTrain, speed: number): ForcesAt[] {
	const { lobe, ratio, lash, curve, height, mass } = train;
	const omega = (Math.PI * speed) / 60;
	return Array.from({ length: POINTS + 1 }, (_, i) => {
		const angle = lobe.opens + ((lobe.closes - lobe.opens) * i) / POINTS;
		const { lift, acceleration } = lobe.at(angle);
		return { angle, z: ratio * lift - lash, bend: ratio * acceleration };
	}).flatMap(({ angle, z, bend }) =>
		z < 0
			? []
			: [
					{
						degree: angle / camDegrees(1),
						lift: mm(z),
						spring: curve.load(mm(height - z)),
						// mm/rad² to m/rad².
						needed: newtons((-mass * bend * omega ** 2) / 1000)
					}
				]
	);
}

/** Where the spring has least to spare while it is what holds the valve; null where it holds nothing. */
export function minMargin(
	forces: readonly ForcesAt[]
): (ForcesAt & { readonly margin: Newtons }) | null {
	const held = forces.flatMap((one) =>
		one.spring === null || one.needed <= 0
			? []
			: [{ ...one, margin: newtons(one.spring - one.needed) }]
	);
	return held.toSorted((a, b) => a.margin - b.margin)[0] ?? null;
}
