/** All that must follow a cam, at the valve, and what of it is only estimated (docs/trade/valvetrain.md#control). */
import { kilograms, massOf, type Kilograms } from '../../foundation/units/index.ts';
import type { KindSetup } from '../../job/document/index.ts';
import type { PartType, Train } from '../../parts/part/index.ts';
import { ESTIMATE_SPREAD, estimatedMass } from './estimated.ts';
import { movingMass, SPRING_SHARE } from './mass.ts';

export type FollowingPart =
	| Extract<PartType, 'valve' | 'retainer' | 'locks' | 'lash-cap' | 'spring' | 'rocker' | 'lifter'>
	| 'pushrod';

export interface FollowingMass {
	readonly parts: readonly {
		readonly part: FollowingPart;
		/** As it counts at the valve. */
		readonly mass: Kilograms;
		readonly isEstimated: boolean;
	}[];
	/** What moves, and has no mass nor sizes to estimate it from. */
	readonly missing: readonly FollowingPart[];
	/** Sum of what is known; a lower bound while something is missing. */
	readonly total: Kilograms;
	/** Half-width of its 95 % interval, from what is estimated. */
	readonly uncertainty: Kilograms;
}

/**
 * Mass at the valve with what lies on the cam's side of the rocker: that counts by the ratio
 * squared. Source: docs/trade/valvetrain.md#control, where leaving it out flatters the limit by a tenth or more.
 *
 * @param ratio valve lift over lobe lift
 * @param share part of the spring that counts
 */
export function followingMass(
	parts: KindSetup,
	train: Train,
	ratio: number,
	share = SPRING_SHARE
): FollowingMass {
	const moving = movingMass(parts, share);
	const known: FollowingMass['parts'][number][] = moving.parts.map((one) => ({
		...one,
		isEstimated: false
	}));
	const missing: FollowingPart[] = [];
	for (const part of moving.missing) {
		const mass = estimatedMass(part, parts);
		if (mass === null) missing.push(part);
		else
			known.push({
				part,
				mass: part === 'spring' ? kilograms(mass * share) : mass,
				isEstimated: true
			});
	}
	if (train !== 'bucket' && !parts.rocker) missing.push('rocker');
	for (const [part, mass] of onTheCam(parts, train)) {
		if (mass) known.push({ part, mass: kilograms(massOf(mass) / ratio ** 2), isEstimated: false });
		else missing.push(part);
	}
	const sum = (list: typeof known) => list.reduce((all, { mass }) => all + mass, 0);
	const estimated = known.filter(({ isEstimated }) => isEstimated);
	return {
		parts: known,
		missing,
		total: kilograms(sum(known)),
		uncertainty: kilograms(ESTIMATE_SPREAD * sum(estimated))
	};
}

/** What moves on the cam's side, by the type of train. */
function onTheCam(
	{ lifter, pushrodMass }: KindSetup,
	train: Train
): [FollowingPart, string | undefined][] {
	if (train === 'pushrod')
		return [
			['lifter', lifter?.mass],
			['pushrod', pushrodMass]
		];
	return train === 'bucket' ? [['lifter', lifter?.mass]] : [];
}
