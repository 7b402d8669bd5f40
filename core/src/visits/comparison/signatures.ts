/**
 * What moved together tells what happened: each change of a valve leaves a signature over the
 * quantities that were measured then and now. Source: docs/trade/visits.md.
 */

/** Quantities that a change shows in; lengths in mm, a load in N at one and the same height. */
export const TRACES = [
	'height',
	'seal-gap',
	'tip-height',
	'lash',
	'head-below-deck',
	'tip-length',
	'load',
	'lift'
] as const;
export type Trace = (typeof TRACES)[number];

/** What may have happened to one station. */
export const HAPPENINGS = [
	'seat-sank',
	'stem-stretched',
	'locks-pulled',
	'tip-worn',
	'landing-worn',
	'spring-sagged',
	'adjuster-opened',
	'lobe-worn'
] as const;
export type Happening = (typeof HAPPENINGS)[number];

/**
 * What one unit of each leaves: a mm of length, or a N of a sagged spring. A worn lobe takes of
 * the lift what it takes, and little of the lash.
 */
export const SIGNATURES: Readonly<Record<Happening, Readonly<Partial<Record<Trace, number>>>>> = {
	'seat-sank': { height: 1, 'seal-gap': 1, lash: -1, 'head-below-deck': 1 },
	'stem-stretched': { height: 1, 'seal-gap': 1, lash: -1 },
	'locks-pulled': { height: 1, 'seal-gap': 1, 'tip-height': -1 },
	'tip-worn': { 'tip-height': -1, lash: 1, 'tip-length': -1 },
	'landing-worn': { height: 1 },
	'spring-sagged': { load: -1 },
	'adjuster-opened': { lash: 1 },
	'lobe-worn': { lift: -1 }
};
