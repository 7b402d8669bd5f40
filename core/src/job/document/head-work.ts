/**
 * Work on a head that changes the numbers (docs/trade/job.md#head-work): which readings it
 * makes stale, and what a cut does to the compression ratio.
 */
import {
	cubicCentimetres,
	mm,
	type CubicCentimetres,
	type Millimetres
} from '../../foundation/units/index.ts';
import type { Passage } from './check-words.ts';
import { INSPECTED } from './inspected.ts';
import { ROCKER_GAPS, type Quantity } from './quantities.ts';

export const WORKS = [
	'deck-cut',
	'block-cut',
	'other-gasket',
	'other-piston',
	'cam-timing',
	'valve-job',
	'guides',
	'seats',
	'seals',
	'pocket-cut',
	'tip-ground',
	'parts-changed',
	'valve-train-changed'
] as const;
export type Work = (typeof WORKS)[number];

/** What can be stale: readings by quantity, and what was tried or looked at. */
export type Stale =
	Quantity | Passage | 'piston-to-valve' | 'vacuum' | 'stem-inspection' | 'compression' | 'fit';

const HEIGHTS = ['installed-height', 'built-height'] as const;
const GAPS = ['seal-gap', 'seal-gap-at-lift'] as const;
const TIP_AND_ROCKER = ['tip-height', ...ROCKER_GAPS] as const;
const SETTINGS = ['lash', 'preload'] as const;
const DECK: readonly Stale[] = ['piston-to-valve', 'compression', ...SETTINGS, 'pushrod'];
/** Figures of an inspection that a cut seat or face changes. */
const SEAT_FIGURES = [
	'seat-width',
	'seat-run-out',
	'valve-margin',
	'stem-height',
	'head-below-deck',
	'chamber-volume'
] as const;
const HEAD_CUT: readonly Stale[] = [...DECK, 'head-below-deck', 'chamber-volume'];
const VALVE_JOB: readonly Stale[] = [
	...HEIGHTS,
	'on-head-load',
	...GAPS,
	...TIP_AND_ROCKER,
	...SETTINGS,
	'piston-to-valve',
	'vacuum',
	'tip-wipe',
	...SEAT_FIGURES
];

/** What each work makes stale. Source: docs/trade/job.md#head-work. */
const MAKES_STALE: Readonly<Record<Work, readonly Stale[]>> = {
	'deck-cut': HEAD_CUT,
	'block-cut': DECK,
	'other-gasket': DECK,
	'other-piston': ['piston-to-valve', 'compression'],
	'cam-timing': ['piston-to-valve'],
	'valve-job': VALVE_JOB,
	seats: VALVE_JOB,
	guides: [...VALVE_JOB, 'stem-inspection', 'stem-clearance'],
	seals: GAPS,
	'pocket-cut': [...HEIGHTS, 'on-head-load', ...GAPS, 'fit', 'stem-height'],
	'tip-ground': [
		...TIP_AND_ROCKER,
		...SETTINGS,
		'tip-wipe',
		'valve-length',
		'tip-length',
		'stem-height'
	],
	'parts-changed': [
		...HEIGHTS,
		'on-head-load',
		...GAPS,
		...TIP_AND_ROCKER,
		...SETTINGS,
		'vacuum',
		'piston-to-valve',
		...INSPECTED
	],
	'valve-train-changed': [
		'valve-lift',
		...ROCKER_GAPS,
		'pushrod',
		'rocker-slot',
		...SETTINGS,
		'tip-wipe',
		'piston-to-valve'
	]
};

/** Whether something read, tried or looked at before the work no longer counts. */
export const makesStale = (work: Work, what: Stale): boolean => MAKES_STALE[work].includes(what);

/** Works that change how far piston and head are apart at the deck. */
export const changesDeck = (work: Work): boolean =>
	MAKES_STALE[work] === DECK || MAKES_STALE[work] === HEAD_CUT;

export interface Cuts {
	/** Taken off the head's deck and off the block's, and how much thicker the gasket is. */
	readonly head: Millimetres;
	readonly block: Millimetres;
	readonly thicker: Millimetres;
}

/** How much nearer the deck comes: `c = head cut + block cut − gasket thickening`. Source: docs/trade/job.md#head-work. */
export const deckNearer = ({ head, block, thicker }: Cuts): Millimetres =>
	mm(head + block - thicker);

export interface CutEffect {
	/** Piston to valve falls by so much: the larger of a pocket parallel to the valve and a flat piston. */
	readonly pistonToValve: Millimetres;
	/** A hydraulic plunger gains so much preload; null where it does not. */
	readonly preload: Millimetres | null;
	/** Solid lash at the valve closes by so much; null where it does not. */
	readonly lash: Millimetres | null;
	/** With overhead cams the timing retards instead. */
	readonly retards: boolean;
}

/**
 * What a deck that came nearer does to the rest; to be measured again, all of it.
 * Source: docs/trade/job.md#head-work.
 *
 * @param nearer `c` of {@link deckNearer}
 * @param engine angle between valve and cylinder in degrees, where the cam lies, lifters, rocker ratio
 *
 * @example c 1.0 mm, 20°, cam in the block, solid, ratio 1.5: 1.064 mm to the piston, lash 1.5 mm less
 */
export function cutEffect(
	nearer: Millimetres,
	engine: {
		readonly valveAngle: number;
		readonly camAt: 'block' | 'head';
		readonly lifters: 'solid' | 'hydraulic';
		readonly ratio: number;
	}
): CutEffect {
	const angle = (engine.valveAngle * Math.PI) / 180;
	const isPushrod = engine.camAt === 'block';
	return {
		pistonToValve: mm(nearer / Math.cos(angle)),
		preload: isPushrod && engine.lifters === 'hydraulic' ? nearer : null,
		lash: isPushrod && engine.lifters === 'solid' ? mm(nearer * engine.ratio) : null,
		retards: !isPushrod
	};
}

/**
 * What a room between piston and valve comes to with another gasket than it was tried with, by
 * the rule of a cut that errs on the side of less: a thinner one takes its difference ÷ cos α,
 * a thicker one gives it · cos α. Source: docs/trade/job.md#head-work.
 *
 * @param tried and `fitted` thicknesses in mm
 * @param valveAngle between valve and cylinder, in degrees
 *
 * @example 2.50 mm tried on 1.0, to run on 0.7 at 20°: 2.50 − 0.3 ÷ cos 20° = 2.181
 */
export function roomWithGasket(
	room: Millimetres,
	tried: Millimetres,
	fitted: Millimetres,
	valveAngle: number
): Millimetres {
	const cosine = Math.cos((valveAngle * Math.PI) / 180);
	const thicker = fitted - tried;
	return mm(room + (thicker < 0 ? thicker / cosine : thicker * cosine));
}

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

/**
 * Volume that the piston sweeps, in cubic centimetres.
 * `π/4 · bore² · stroke`, both in mm.
 *
 * @example sweptVolume(mm(100), mm(80)) // 628.3
 */
export const sweptVolume = (bore: Millimetres, stroke: Millimetres): CubicCentimetres =>
	cubicCentimetres((boreArea(bore) * stroke) / 1000);

/**
 * Chamber volume after a cut: less the cut times the chamber's open area at
 * the deck. A first estimate; the burette has the last word. Source: docs/trade/job.md#head-work.
 *
 * @param cut what was taken off the deck, in mm
 * @returns cubic centimetres
 */
export const chamberAfter = (volumes: CylinderVolumes, cut: Millimetres): CubicCentimetres =>
	cubicCentimetres(volumes.chamber - (cut * boreArea(volumes.bore) * volumes.chamberOpen) / 1000);

/**
 * Compression ratio after a cut, from the ratio before it, bore and stroke alone:
 * `clearance = swept ÷ (ratio − 1)`, less the cut times the chamber's open area.
 * Source: docs/trade/job.md#head-work.
 *
 * @param before the ratio as it was stated, above 1
 * @param cut what was taken off the deck
 * @returns null when nothing would be left above the piston
 *
 * @example 9.0 before, bore 100, stroke 80, cut 1 mm, open 1: clearance 78.54 − 7.85 cc, 9.889
 */
export function ratioAfter(
	before: number,
	{
		bore,
		stroke,
		chamberOpen
	}: Pick<CylinderVolumes, 'bore' | 'chamberOpen'> & { readonly stroke: Millimetres },
	cut: Millimetres
): number | null {
	const swept = sweptVolume(bore, stroke);
	const clearance = swept / (before - 1) - (cut * boreArea(bore) * chamberOpen) / 1000;
	return clearance <= 0 ? null : (swept + clearance) / clearance;
}

/**
 * Compression ratio `(swept + clearance) ÷ clearance`. Source: docs/trade/job.md#head-work.
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
