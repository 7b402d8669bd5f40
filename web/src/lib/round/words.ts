import type { Kind, Quantity, Units } from '@zinc-ledger/core';

/** What a round says: what it measures, what to do at each station, and what to take care of. */
export interface RoundWords {
	readonly title: string;
	readonly gauge: string;
	readonly todo: (kind: Kind, locator: boolean) => string;
	readonly caution: string;
}

export const ROUND_WORDS: Readonly<Record<Quantity, RoundWords>> = {
	'installed height': {
		title: 'Installed heights',
		gauge: 'Height gauge',
		todo: (_, locator) =>
			`Gauge ${locator ? 'on the locator' : 'on the bare pocket'}, this station’s own retainer and locks. Pull the valve home, read.`,
		caution:
			'Locks not fully seated let go without warning. Glasses on; keep your face out of line with the stem.'
	},
	'seal gap': {
		title: 'Seal gaps, valve closed',
		gauge: 'Seal depth gauge',
		todo: () => 'Valve closed, seal pushed fully home. Retainer underside to seal top.',
		caution:
			'With a checking spring on, count it out again: no head leaves with a checking spring in it.'
	},
	'tip height': {
		title: 'Tip heights',
		gauge: 'Depth gauge',
		todo: () =>
			'Locks seated. From the retainer, or the locks where they stand higher, to the tip or its cap.',
		caution: 'A spring is under load here: locks level and home before a hand goes near.'
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
export const gaugeResolution = (units: Units) => (units.length === 'in' ? '0.001 in' : '0.01 mm');
