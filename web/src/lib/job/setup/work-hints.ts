import type { Work } from '@zinc-ledger/core';

const DECK =
	'Measure again after it: piston to valve, compression, lash or preload, pushrod length and clearance.';
const VALVE_JOB =
	'Measure again after it: heights, loads on the head, seal gaps, tip and rocker clearances, lash or preload, piston to valve, vacuum, tip wipe.';

/** What each work makes stale, said where it is chosen. */
export const WORK_HINTS: Readonly<Record<Work, string>> = {
	'deck-cut': DECK,
	'block-cut': DECK,
	'other-gasket': DECK,
	'other-piston': 'Measure again after it: piston to valve, compression.',
	'cam-timing': 'Measure again after it: piston to valve.',
	'valve-job': VALVE_JOB,
	seats: VALVE_JOB,
	guides: `Seats are cut again after new guides. ${VALVE_JOB} Inspect the stems again.`,
	seals: 'Measure the seal gaps again after it.',
	'pocket-cut':
		'Measure again after it: heights, loads on the head, seal gaps; and pocket and guide boss, which compatibility goes by.',
	'tip-ground': 'Measure again after it: tip and rocker clearances, lash or preload, tip wipe.',
	'parts-changed':
		'Another valve, retainer or locks at these valves: measure heights, gaps, tip, rocker, lash, vacuum and piston to valve there again.',
	'valve-train-changed':
		'Another rocker, pushrod or cam: measure rocker and pushrod clearances, lash or preload, tip wipe and piston to valve again.'
};
