/**
 * Work on a head that changes the numbers (handbook §8): which readings it
 * makes stale, and what a cut does to the compression ratio.
 */
import {
	cubicCentimetres,
	mm,
	type CubicCentimetres,
	type Millimetres
} from '../units/quantity.ts';
import { QUANTITIES, type Quantity } from '../job/quantities.ts';

export const WORKS = ['deck cut', 'valve job', 'guides', 'seats', 'seals'] as const;
export type Work = (typeof WORKS)[number];

const ALL: readonly Quantity[] = QUANTITIES;
const MAKES_STALE: Readonly<Record<Work, readonly Quantity[]>> = {
	'deck cut': ['lash'],
	'valve job': ALL,
	guides: ALL,
	seats: ALL,
	seals: ['seal gap', 'seal gap at lift']
};

/** Whether a reading of this quantity, taken before the work, no longer counts. */
export const makesStale = (work: Work, quantity: Quantity): boolean =>
	MAKES_STALE[work].includes(quantity);

export interface CylinderVolumes {
	readonly bore: Millimetres;
	readonly stroke: Millimetres;
	readonly chamber: CubicCentimetres;
	readonly gasket: CubicCentimetres;
	/** What is left above the piston at top dead centre, less what stands up into the chamber. */
	readonly deck: CubicCentimetres;
	/** Part of the bore's area that the chamber is open to at the deck. */
	readonly chamberOpen: number;
}

const boreArea = (bore: Millimetres) => (Math.PI / 4) * bore ** 2;

/** Volume that the piston sweeps, in cubic centimetres. */
export const sweptVolume = (bore: Millimetres, stroke: Millimetres): CubicCentimetres =>
	cubicCentimetres((boreArea(bore) * stroke) / 1000);

/**
 * Chamber volume after a cut: less the cut times the chamber's open area at
 * the deck. A first estimate; the burette has the last word.
 */
export const chamberAfter = (volumes: CylinderVolumes, cut: Millimetres): CubicCentimetres =>
	cubicCentimetres(volumes.chamber - (cut * boreArea(volumes.bore) * volumes.chamberOpen) / 1000);

/**
 * Compression ratio `(swept + clearance) ÷ clearance`. Source: handbook §8.
 *
 * @param cut what was taken off the deck; 0 for the ratio before
 * @returns null when nothing would be left above the piston
 *
 * @example bore 100, stroke 80, chamber 60, gasket 8, deck 2 cc: swept 628.3, ratio 9.98
 */
export function compressionRatio(volumes: CylinderVolumes, cut = mm(0)): number | null {
	const clearance = chamberAfter(volumes, cut) + volumes.gasket + volumes.deck;
	if (clearance <= 0) return null;
	return (sweptVolume(volumes.bore, volumes.stroke) + clearance) / clearance;
}
