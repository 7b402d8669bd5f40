/** The decision on a used spring: reuse it, shim it, move it or replace it. Source: docs/trade/visits.md. */
import type { FigureRead } from './change.ts';

/** What is known of a spring that came back, each against its limit; null for what is not known. */
export interface UsedSpring {
	/** Whether somebody recorded a crack, a break or pits on it. */
	readonly isDamaged: boolean;
	/**
	 * Part of its load that it lost beyond what all springs lost on another tester, until a reference
	 * spring has been read on both; null where the testers are known to agree.
	 */
	readonly ownSag: FigureRead | null;
	/** Part of its load lost at the same height with its half-width, and the part from which it is not used any more. */
	readonly sag: FigureRead | null;
	readonly sagLimit: number;
	/** The part from which a loss is watched. */
	readonly sagWatch: number;
	/** Whether its height is at its stop or past it, and no shims in stock bring it back. */
	readonly isHeightOut: boolean;
	/** Shims that would bring its load back, in mm; 0 where it needs none. */
	readonly shim: number | null;
	/** Coil bind margin and seal clearance after those shims, in mm, and what each must be. */
	readonly bindMargin: FigureRead | null;
	readonly bindFloor: number;
	readonly sealClearance: FigureRead | null;
	readonly sealFloor: number;
	/** What is left of its service, as a part of the limit; null where the shop sets none. */
	readonly serviceLeft: number | null;
	/** Whether the shop lets springs run again once they were tested. */
	readonly isReuseAllowed: boolean;
	/** Whether another station would take it as it is. */
	readonly fitsElsewhere: boolean;
}

export const FATES = ['reuse', 'reshim', 'swap', 'fix-first', 'replace', 'not-known'] as const;
export type Fate = (typeof FATES)[number];

/** Why: what decided. */
export const FATE_REASONS = [
	'policy',
	'damaged',
	'service-over',
	'sagged',
	'bind-short',
	'seal-short',
	'shim-brings-back',
	'even-elsewhere',
	'height-out',
	'in-order',
	/** Reused, with a loss that is watched. */
	'sag-watched',
	'not-tested',
	/** The shim that it needs, or a margin at its valve, is not known. */
	'margin-unknown',
	/** Its loss is too close to the limit to call. */
	'too-close',
	/** A margin at its valve is too close to its limit to call. */
	'margin-too-close',
	/** Tested on another tester, and no reference spring was read on both. */
	'tester-unchecked'
] as const;
export type FateReason = (typeof FATE_REASONS)[number];

const isShort = (room: FigureRead | null, floor: number) => room !== null && room.value < floor;

/** Returns what to do with a used spring, and what decided it. The shop's policy comes first, then damage that cannot be repaired; a spring too close to call does not pass. */
export function fateOf(spring: UsedSpring): { readonly fate: Fate; readonly reason: FateReason } {
	const { sag, shim, bindMargin, sealClearance, serviceLeft } = spring;
	if (!spring.isReuseAllowed) return { fate: 'replace', reason: 'policy' };
	if (spring.isDamaged) return { fate: 'replace', reason: 'damaged' };
	if (serviceLeft !== null && serviceLeft <= 0) return { fate: 'replace', reason: 'service-over' };
	if (sag === null) return { fate: 'not-known', reason: 'not-tested' };
	// What all springs lost together may be the tester's, so it condemns none and passes none.
	if ((spring.ownSag ?? sag).value >= spring.sagLimit) return { fate: 'replace', reason: 'sagged' };
	if (isShort(bindMargin, spring.bindFloor))
		return spring.fitsElsewhere
			? { fate: 'swap', reason: 'even-elsewhere' }
			: { fate: 'replace', reason: 'bind-short' };
	// Another spring changes neither: the seal, the locks or the seat is what to work on.
	if (isShort(sealClearance, spring.sealFloor)) return { fate: 'fix-first', reason: 'seal-short' };
	if (spring.isHeightOut) return { fate: 'fix-first', reason: 'height-out' };
	if (spring.ownSag !== null) return { fate: 'not-known', reason: 'tester-unchecked' };
	if (sag.value + sag.uncertainty >= spring.sagLimit)
		return { fate: 'not-known', reason: 'too-close' };
	if (shim === null || bindMargin === null || sealClearance === null)
		return { fate: 'not-known', reason: 'margin-unknown' };
	const isTooClose =
		bindMargin.value - bindMargin.uncertainty < spring.bindFloor ||
		sealClearance.value - sealClearance.uncertainty < spring.sealFloor;
	if (isTooClose) return { fate: 'not-known', reason: 'margin-too-close' };
	if (shim > 0) return { fate: 'reshim', reason: 'shim-brings-back' };
	return { fate: 'reuse', reason: sag.value >= spring.sagWatch ? 'sag-watched' : 'in-order' };
}
