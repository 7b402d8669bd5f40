import { isLoad } from '@zinc-ledger/core';
import type { GaugeSort, Kind, Quantity, Units } from '@zinc-ledger/core';

/** What is measured after what, in the order of the work. */
export const NEXT_ROUND: Partial<Record<Quantity, Quantity>> = {
	'installed-height': 'seal-gap',
	'seal-gap': 'tip-height',
	'tip-height': 'lash'
};

/** The sorts of gauges that a quantity is read with. */
export const GAUGES_FOR: Readonly<Record<Quantity, readonly GaugeSort[]>> = {
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
	'follower-shim': ['depth-gauge']
};

/** What a round says: what it measures, what to do at each station, and what to take care of. */
export interface RoundWords {
	readonly title: string;
	readonly gauge: string;
	readonly todo: (kind: Kind, locator: boolean) => string;
	readonly caution: string;
}

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
	}
};

/** The resolution a gauge is taken to have until it says otherwise. */
export function gaugeResolution(quantity: Quantity, units: Units): string {
	if (isLoad(quantity)) return units.load === 'N' ? '5 N' : `1 ${units.load}`;
	return units.length === 'in' ? '0.001 in' : '0.01 mm';
}
