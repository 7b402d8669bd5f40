/** What moves with a valve, and what that weighs (docs/trade/valvetrain.md#control). Masses in kilograms. */
import {
	inertiaOf,
	kilograms,
	lengthOf,
	massOf,
	type Kilograms
} from '../../foundation/units/index.ts';
import type { KindSetup } from '../../job/document/index.ts';
import type { PartType } from '../../parts/part/index.ts';

/** The part of a spring's mass that moves with the valve: a third by the usual rule, a half by some. */
export const SPRING_SHARE = 1 / 3;

/** Parts that move with a valve. */
export type MovingPart = Extract<
	PartType,
	'valve' | 'retainer' | 'locks' | 'spring' | 'lash-cap' | 'rocker'
>;

export interface MovingMass {
	readonly parts: readonly { readonly part: MovingPart; readonly mass: Kilograms }[];
	/** What moves and has no mass given. */
	readonly missing: readonly MovingPart[];
	/** Sum of what is given; a lower bound while something is missing. */
	readonly total: Kilograms;
}

/**
 * Mass at the valve: `valve + retainer + locks + cap + ⅓ spring + rocker
 * inertia ÷ arm²`.
 *
 * @param share part of the spring that counts
 *
 * @example valve 102 g, retainer 18 g, locks 6 g, spring 96 g: 158 g
 */
export function movingMass(parts: KindSetup, share = SPRING_SHARE): MovingMass {
	const masses: [part: MovingPart, mass: number | null][] = [
		['valve', given(parts.valve)],
		['retainer', given(parts.retainer)],
		['locks', given(parts.locks)],
		['spring', parts.spring?.mass ? massOf(parts.spring.mass) * share : null]
	];
	if (parts.lashCap) masses.push(['lash-cap', given(parts.lashCap)]);
	if (parts.rocker) {
		const { inertia, arm } = parts.rocker;
		masses.push(['rocker', inertia && arm ? inertiaOf(inertia) / lengthOf(arm) ** 2 : null]);
	}
	const known = masses.filter((entry): entry is [MovingPart, number] => entry[1] !== null);
	return {
		parts: known.map(([part, mass]) => ({ part, mass: kilograms(mass) })),
		missing: masses.filter(([, mass]) => mass === null).map(([part]) => part),
		total: kilograms(known.reduce((sum, [, mass]) => sum + mass, 0))
	};
}

function given(part: { mass?: string | undefined } | undefined): number | null {
	return part?.mass ? massOf(part.mass) : null;
}

/**
 * What the whole of a valve's parts weighs, the spring with all of it: what a set is shipped
 * and compared by, and not what moves.
 *
 * @returns in kg, with the parts whose mass nobody gave
 */
export function assemblyMass(parts: KindSetup): Pick<MovingMass, 'missing' | 'total'> {
	const masses: [MovingPart, number | null][] = [
		['valve', given(parts.valve)],
		['retainer', given(parts.retainer)],
		['locks', given(parts.locks)],
		['spring', given(parts.spring)],
		...(parts.lashCap ? [['lash-cap', given(parts.lashCap)] as [MovingPart, number | null]] : [])
	];
	return {
		missing: masses.filter(([, mass]) => mass === null).map(([part]) => part),
		total: kilograms(masses.reduce((sum, [, mass]) => sum + (mass ?? 0), 0))
	};
}

export interface MassChange {
	readonly before: MovingMass;
	readonly after: MovingMass;
	/** Negative when lighter. */
	readonly difference: Kilograms;
	/** Part of what moved before, as a fraction. */
	readonly part: number;
}

/**
 * What exchanging parts does to the moving mass.
 *
 * @returns both masses, and the difference in kg and as a part of the one before, below zero where it becomes lighter
 */
export function massChange(before: KindSetup, after: KindSetup): MassChange {
	const [old, now] = [movingMass(before), movingMass(after)];
	const difference = kilograms(now.total - old.total);
	return {
		before: old,
		after: now,
		difference,
		part: old.total === 0 ? 0 : difference / old.total
	};
}
