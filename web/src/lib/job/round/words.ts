import { readAs } from '@zinc-ledger/core';
import type { GaugeType, Kind, Quantity, Units } from '@zinc-ledger/core';

/** What is measured after what, in the order of the work. */
export const NEXT_ROUND: Partial<Record<Quantity, Quantity>> = {
	'installed-height': 'seal-gap',
	'seal-gap': 'tip-height',
	'tip-height': 'lash'
};

/** The types of gauges that a quantity is read with. */
export const GAUGES_FOR: Readonly<Record<Quantity, readonly GaugeType[]>> = {
	'installed-height': ['height-gauge'],
	'seal-gap': ['depth-gauge', 'feeler-set'],
	'seal-gap-at-lift': ['depth-gauge', 'feeler-set'],
	'tip-height': ['depth-gauge'],
	'rocker-closed': ['feeler-set'],
	'rocker-half-lift': ['feeler-set'],
	'rocker-full-lift': ['feeler-set'],
	'on-head-load': ['on-head-tester'],
	lash: ['feeler-set'],
	preload: ['depth-gauge'],
	'built-height': ['height-gauge', 'depth-gauge'],
	'follower-shim': ['depth-gauge', 'micrometer'],
	'valve-length': ['micrometer', 'depth-gauge'],
	'tip-length': ['micrometer', 'depth-gauge'],
	'stem-diameter': ['micrometer'],
	'stem-clearance': ['micrometer', 'dial-indicator'],
	'seat-width': ['depth-gauge'],
	'seat-run-out': ['dial-indicator'],
	'valve-margin': ['micrometer', 'depth-gauge'],
	'stem-height': ['depth-gauge'],
	'head-below-deck': ['depth-gauge'],
	'valve-lift': ['dial-indicator'],
	'chamber-volume': []
};

/** What a round says: what it measures, what to do at each station, and what to take care of. */
export interface RoundWords {
	readonly title: string;
	readonly gauge: string;
	readonly todo: (kind: Kind, locator: boolean) => string;
	readonly caution: string;
}

const KEEP_PLACES = 'Keep every valve with its station: tag or rack.';
const SEAT_DUST =
	'Dust of seats may be poisonous: wet or extracted, by those equipped for it; maker’s instructions first.';

export const ROUND_WORDS: Readonly<Record<Quantity, RoundWords>> = {
	'installed-height': {
		title: 'Installed heights',
		gauge: 'Height gauge',
		todo: (_, locator) =>
			`Gauge ${locator ? 'on the locator' : 'on the bare pocket'}, this station’s own retainer and locks. Pull the valve fully closed, read.`,
		caution:
			'Locks not fully seated let go without warning. Glasses on; keep your face out of line with the stem.'
	},
	'seal-gap': {
		title: 'Seal gaps, valve closed',
		gauge: 'Seal depth gauge',
		todo: () => 'Valve closed, seal fully seated. Retainer underside to seal top.',
		caution:
			'With a checking spring on, count it out again: no head leaves with a checking spring in it.'
	},
	preload: {
		title: 'Lifter preload',
		gauge: 'Depth gauge',
		todo: (kind) =>
			`Lifter on the base circle of the ${kind} lobe. Zero lash first, then how far the plunger goes in.`,
		caution: 'Turn the engine by hand, ignition off. A pumped-up lifter needs time to bleed down.'
	},
	'built-height': {
		title: 'Heights as built',
		gauge: 'Spring height caliper',
		todo: () =>
			'Spring fitted, locks seated. From the spring’s bottom face to the retainer’s landing.',
		caution: 'The spring is under load: face out of line with the stem, glasses on.'
	},
	'follower-shim': {
		title: 'Shims in the followers',
		gauge: 'Micrometer',
		todo: () => 'The shim that is in it now. Measure it; do not trust the etched size.',
		caution: 'Camshaft bearings loosened in the maker’s order, a turn at a time.'
	},
	'seal-gap-at-lift': {
		title: 'Seal gaps at full lift',
		gauge: 'Feeler set',
		todo: () => 'Checking spring on, valve run down to full lift. Retainer underside to seal top.',
		caution: 'Count the checking springs out again: no head leaves with a checking spring in it.'
	},
	'tip-height': {
		title: 'Tip heights',
		gauge: 'Depth gauge',
		todo: () =>
			'Locks seated. From the retainer, or the locks where they stand higher, to the tip or its cap.',
		caution: 'A spring is under load here: locks level and seated before a hand goes near.'
	},
	'rocker-closed': {
		title: 'Rocker clearance, closed',
		gauge: 'Feeler set',
		todo: (kind) =>
			`Lifter on the base circle of the ${kind} lobe. Where rocker and retainer are nearest.`,
		caution: 'Turn the engine by hand, ignition off; fingers away from the rocker.'
	},
	'rocker-half-lift': {
		title: 'Rocker clearance, half lift',
		gauge: 'Feeler set',
		todo: (kind) => `The ${kind} valve at half its lift. Where rocker and retainer are nearest.`,
		caution: 'Turn the engine by hand, ignition off; fingers away from the rocker.'
	},
	'rocker-full-lift': {
		title: 'Rocker clearance, full lift',
		gauge: 'Feeler set',
		todo: (kind) => `The ${kind} valve at full lift. Where rocker and retainer are nearest.`,
		caution: 'Turn the engine by hand, ignition off; fingers away from the rocker.'
	},
	'on-head-load': {
		title: 'On-head loads',
		gauge: 'On-head tester',
		todo: () =>
			'Grip where the tester’s maker says. Pull until the valve just lifts, and note the peak.',
		caution: 'The whole spring is under load: face out of line with the stem, glasses on.'
	},
	lash: {
		title: 'Lash',
		gauge: 'Feeler set',
		todo: (kind) =>
			`Lifter on the base circle of the ${kind} lobe. Feeler with a light drag, lock, read again.`,
		caution:
			'Turn the engine by hand, ignition off. A hot engine burns, and loose clothing catches.'
	},
	'valve-length': {
		title: 'Valve lengths',
		gauge: 'Long micrometer',
		todo: () => 'Valve out and clean. From the tip to the face of the head.',
		caution: KEEP_PLACES
	},
	'tip-length': {
		title: 'Tip lengths',
		gauge: 'Depth gauge',
		todo: () => 'Valve out. From the edge of the lock groove to the tip.',
		caution: KEEP_PLACES
	},
	'stem-diameter': {
		title: 'Stem diameters',
		gauge: 'Micrometer',
		todo: () => 'Valve out. Three places along the guide’s length, two ways across: the least.',
		caution: KEEP_PLACES
	},
	'stem-clearance': {
		title: 'Stem-to-guide clearances',
		gauge: 'Bore gauge',
		todo: (kind) =>
			`Bore of the ${kind} guide less its stem, at the guide’s ends as well as its middle: the most.`,
		caution: KEEP_PLACES
	},
	'seat-width': {
		title: 'Seat widths',
		gauge: 'Caliper',
		todo: () => 'The ring of contact, where it is broadest.',
		caution: SEAT_DUST
	},
	'seat-run-out': {
		title: 'Seat run-out',
		gauge: 'Dial indicator',
		todo: () => 'Pilot in the guide without play, once round: greatest less least.',
		caution: SEAT_DUST
	},
	'valve-margin': {
		title: 'Valve margins',
		gauge: 'Caliper',
		todo: () => 'The edge between face and head, where it is thinnest.',
		caution: 'A ground edge is sharp.'
	},
	'stem-height': {
		title: 'Stem heights',
		gauge: 'Height gauge',
		todo: () => 'Valve held on its seat, no spring. From the pocket, or the deck, to the tip.',
		caution: 'From the same face at every valve of this job; say which in a note.'
	},
	'head-below-deck': {
		title: 'Valve heads below deck',
		gauge: 'Depth gauge',
		todo: () => 'Valve held on its seat. From the deck down to the valve’s head.',
		caution: 'The deck clean and free of burrs; a straight edge across it first.'
	},
	'valve-lift': {
		title: 'Valve lifts',
		gauge: 'Dial indicator',
		todo: () => 'In line with the stem, on the retainer. Zero on the base circle, then full lift.',
		caution: 'Turn the engine by hand, ignition off. Keep fingers out of the valve train.'
	},
	'chamber-volume': {
		title: 'Chamber volumes',
		gauge: 'Burette',
		todo: () => 'Valves and plug in, plate sealed on the deck, filled without a bubble.',
		caution: 'Solvents: ventilation and gloves, no flame near.'
	}
};

/** Read with a micrometer, a bore gauge or a dial indicator. */
const FINE: readonly Quantity[] = ['stem-diameter', 'stem-clearance', 'seat-run-out'];

/** The resolution a gauge is taken to have until it says otherwise. */
export function gaugeResolution(quantity: Quantity, units: Units): string {
	const as = readAs(quantity);
	if (as === 'load') return units.load === 'N' ? '5 N' : `1 ${units.load}`;
	if (as === 'volume') return '0.1 cc';
	if (FINE.includes(quantity)) return units.length === 'in' ? '0.0001 in' : '0.002 mm';
	return units.length === 'in' ? '0.001 in' : '0.01 mm';
}
