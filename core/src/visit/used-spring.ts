/** What is to be done with a spring that has run. Source: handbook §10. */

/** What is known of a spring that came back, each against its limit; null for what is not known. */
export interface UsedSpring {
	/** Part of its load lost at the same height, and the part from which it is not used any more. */
	readonly sag: number | null;
	readonly sagLimit: number;
	/** Shims that would bring its load back, in mm; 0 where it needs none. */
	readonly shim: number | null;
	/** Coil bind margin and seal clearance after those shims, in mm, and what each must be. */
	readonly bindMargin: number | null;
	readonly bindFloor: number;
	readonly sealClearance: number | null;
	readonly sealFloor: number;
	/** What is left of its service, as a part of the limit; null where the shop sets none. */
	readonly serviceLeft: number | null;
	/** Whether the shop lets springs run again once they were tested. */
	readonly isReuseAllowed: boolean;
	/** Whether another station would take it as it is. */
	readonly fitsElsewhere: boolean;
}

export const FATES = ['reuse', 'reshim', 'swap', 'replace', 'not-known'] as const;
export type Fate = (typeof FATES)[number];

/** Why: what decided. */
export const FATE_REASONS = [
	'policy',
	'service-over',
	'sagged',
	'bind-short',
	'seal-short',
	'shim-brings-back',
	'even-elsewhere',
	'in-order',
	'not-tested'
] as const;
export type FateReason = (typeof FATE_REASONS)[number];

/** What to do with a used spring, and what decided it. The shop's policy goes first, then what cannot be mended. */
export function fateOf(spring: UsedSpring): { readonly fate: Fate; readonly reason: FateReason } {
	const { sag, shim, bindMargin, sealClearance, serviceLeft } = spring;
	if (!spring.isReuseAllowed) return { fate: 'replace', reason: 'policy' };
	if (serviceLeft !== null && serviceLeft <= 0) return { fate: 'replace', reason: 'service-over' };
	if (sag === null || shim === null) return { fate: 'not-known', reason: 'not-tested' };
	if (sag >= spring.sagLimit) return { fate: 'replace', reason: 'sagged' };
	const short =
		bindMargin !== null && bindMargin < spring.bindFloor
			? 'bind-short'
			: sealClearance !== null && sealClearance < spring.sealFloor
				? 'seal-short'
				: null;
	if (short !== null)
		return spring.fitsElsewhere
			? { fate: 'swap', reason: 'even-elsewhere' }
			: { fate: 'replace', reason: short };
	if (bindMargin === null || sealClearance === null)
		return { fate: 'not-known', reason: 'not-tested' };
	return shim > 0
		? { fate: 'reshim', reason: 'shim-brings-back' }
		: { fate: 'reuse', reason: 'in-order' };
}
