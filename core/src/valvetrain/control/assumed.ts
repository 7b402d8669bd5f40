/** Assumptions about a valvetrain that nobody has measured (docs/trade/valvetrain.md#control). */
import type { SpringBuild, Train } from '../../parts/part/index.ts';
import { newtonsPerMm, type NewtonsPerMillimetre } from '../../foundation/units/index.ts';

export interface Assumed {
	/** Of all between cam and valve, at the valve. */
	readonly stiffness: NewtonsPerMillimetre;
	/** As a part of the critical. */
	readonly damping: number;
	/** Half-width of the 95 % interval of the stiffness, as a part of it; {@link STIFFNESS_SPREAD} unless it was measured. */
	readonly spread?: number;
}

/** Usual of each type: soft with pushrods, hard with buckets. */
export const USUAL_TRAIN: Readonly<Record<Train, Assumed>> = {
	pushrod: { stiffness: newtonsPerMm(4000), damping: 0.08 },
	'rocker-on-head': { stiffness: newtonsPerMm(9000), damping: 0.08 },
	finger: { stiffness: newtonsPerMm(16_000), damping: 0.08 },
	bucket: { stiffness: newtonsPerMm(30_000), damping: 0.08 }
};
/** Of a seat in its head. */
export const USUAL_SEAT: Assumed = { stiffness: newtonsPerMm(50_000), damping: 0.1 };
/** Stiffness that nobody measured is known no better than this part of itself. */
export const STIFFNESS_SPREAD = 0.3;

/** Of a spring's mass, what is wound in coils that move. */
export const ACTIVE_SHARE = 0.85;
/** What damps the coils' own swinging, as a part of the critical: a damper, or springs that rub on each other. */
export const COIL_DAMPING = { damper: 0.06, rubbing: 0.05, plain: 0.03 } as const;

/** How a spring's coils are damped, by its build; plain where nobody says. */
export function coilDamping(build?: SpringBuild): number {
	if (build === 'single-with-damper' || build === 'dual-with-damper') return COIL_DAMPING.damper;
	if (build === 'dual' || build === 'triple' || build === 'dual-conical')
		return COIL_DAMPING.rubbing;
	return COIL_DAMPING.plain;
}
