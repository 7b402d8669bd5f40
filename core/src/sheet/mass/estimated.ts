/** Masses of parts that nobody weighed, from their size and material (docs/trade/valvetrain.md#control): marked wherever they are told. */
import { kilograms, lengthOf, type Kilograms } from '../../foundation/units/index.ts';
import type { KindSetup } from '../../job/document/index.ts';
import type { MovingPart } from './mass.ts';

/** How far an estimate from size and material may be off, as a part of it. */
export const ESTIMATE_SPREAD = 0.3;

/** Kilograms a cubic millimetre. */
const DENSITY = {
	steel: 7.85e-6,
	'tool-steel': 7.85e-6,
	'stainless-steel': 7.9e-6,
	'nickel-alloy': 8.3e-6,
	titanium: 4.45e-6,
	aluminium: 2.75e-6
} as const;
/** Volumes over the cube of a size: of a valve's head and fillet by its diameter, a retainer by its spring's, locks and cap by the stem's. */
const SHARE = { head: 0.055, retainer: 0.075, locks: 1.3, cap: 0.5 } as const;

/** From stem, length and head. */
function valveMass({ valve }: KindSetup): Kilograms | null {
	const { stem, length, head, material = 'steel' } = valve ?? {};
	if (!stem || !length || !head) return null;
	const rod = (Math.PI / 4) * lengthOf(stem) ** 2 * lengthOf(length);
	return kilograms(DENSITY[material] * (rod + SHARE.head * lengthOf(head) ** 3));
}

/** From wire, diameter and solid height, which is so many coils of wire; null where one of its coils is not known. */
function springMass({ spring }: KindSetup): Kilograms | null {
	if (!spring?.outer || !spring.bind) return null;
	const { outer, inner, third, bind, innerBind, thirdBind } = spring;
	const coils = [
		[outer, bind],
		[inner, innerBind],
		[third, thirdBind]
	] as const;
	let mass = 0;
	for (const [coil, solid] of coils) {
		if (!coil && !solid) continue;
		if (!coil || !solid) return null;
		const wire = lengthOf(coil.wire);
		const round = Math.PI * (lengthOf(coil.outside) - wire);
		mass += DENSITY.steel * (Math.PI / 4) * wire ** 2 * round * (lengthOf(solid) / wire);
	}
	return kilograms(mass);
}

/** Mass of a part whose shape scales with one size: a share of the cube of that size; null where the size is not given. */
const cubed = (size: string | undefined, share: number, density: number) =>
	size ? kilograms(density * share * lengthOf(size) ** 3) : null;

const ESTIMATES: Partial<Record<MovingPart, (parts: KindSetup) => Kilograms | null>> = {
	valve: valveMass,
	spring: springMass,
	retainer: ({ retainer, spring }) =>
		retainer
			? cubed(spring?.outer?.outside, SHARE.retainer, DENSITY[retainer.material ?? 'steel'])
			: null,
	locks: ({ locks, valve }) =>
		locks ? cubed(locks.stem ?? valve?.stem, SHARE.locks, DENSITY.steel) : null,
	'lash-cap': ({ lashCap, valve }) =>
		lashCap ? cubed(lashCap.stem ?? valve?.stem, SHARE.cap, DENSITY.steel) : null
};

/**
 * What a part is likely to weigh.
 *
 * @returns kg, a spring with all of its mass; null where its sizes are not known
 */
export const estimatedMass = (part: MovingPart, parts: KindSetup): Kilograms | null =>
	ESTIMATES[part]?.(parts) ?? null;
