/**
 * Work on a head that changes the numbers (handbook §8): which readings it
 * makes stale, and what a cut does to the compression ratio.
 */
import { cubicCentimetres, mm, type CubicCentimetres, type Millimetres } from '../units/index.ts';
import type { Passage } from './check-words.ts';
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
const VALVE_JOB: readonly Stale[] = [
	...HEIGHTS,
	'on-head-load',
	...GAPS,
	...TIP_AND_ROCKER,
	...SETTINGS,
	'piston-to-valve',
	'vacuum',
	'tip-wipe'
];

/** What each work makes stale. Source: handbook §8. */
const MAKES_STALE: Readonly<Record<Work, readonly Stale[]>> = {
	'deck-cut': DECK,
	'block-cut': DECK,
	'other-gasket': DECK,
	'other-piston': ['piston-to-valve', 'compression'],
	'cam-timing': ['piston-to-valve'],
	'valve-job': VALVE_JOB,
	seats: VALVE_JOB,
	guides: [...VALVE_JOB, 'stem-inspection'],
	seals: GAPS,
	'pocket-cut': [...HEIGHTS, 'on-head-load', ...GAPS, 'fit'],
	'tip-ground': [...TIP_AND_ROCKER, ...SETTINGS, 'tip-wipe'],
	'parts-changed': [
		...HEIGHTS,
		'on-head-load',
		...GAPS,
		...TIP_AND_ROCKER,
		...SETTINGS,
		'vacuum',
		'piston-to-valve'
	],
	'valve-train-changed': [
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
export const changesDeck = (work: Work): boolean => MAKES_STALE[work] === DECK;

export interface Cuts {
	/** Taken off the head's deck and off the block's, and how much thicker the gasket is. */
	readonly head: Millimetres;
	readonly block: Millimetres;
	readonly thicker: Millimetres;
}

/** How much nearer the deck comes: `c = head cut + block cut − gasket thickening`. Source: handbook §8. */
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
 * Source: handbook §8.
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
 * the deck. A first estimate; the burette has the last word. Source: handbook §8.
 *
 * @param cut what was taken off the deck, in mm
 * @returns cubic centimetres
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
