/** Made-up gauges whose truth is known: how they scatter, how far off they read, what the shop knows of that. */
import type { Reading } from '../../src/index.ts';
import type { Random } from './random.ts';

/** Whether a gauge's repeatability comes from ten pairs and it was checked, or nothing is known of it. */
export type Known = 'ten-pairs' | 'defaults';

export interface TrueGauge {
	readonly resolution: number;
	/** One standard deviation of a reading of one person, and of the person. */
	readonly scatter: number;
	readonly offset: number;
	/** As a reading carries it. */
	readonly carried: Reading['gauge'];
	/** Half-width of the 95 % interval by the formula of docs/trade/springs.md#uncertainty, for so many readings; null where it has to be estimated. */
	readonly formula: (count: number) => number | null;
}

const RESOLUTIONS = [0.01, 0.0127, 0.0254];
/** Three resolutions that a gauge may read wrong by that was never checked, and two that it scatters by at least. */
const [BIAS, SCATTER] = [3, 2];

const round = (value: number, to: number) => Math.round(value / to) * to;
const mm = (value: number) => `${value.toFixed(7)} mm`;

/**
 * A gauge for a quantity.
 *
 * @param usual the default for one reading of the quantity, in mm
 */
export function madeUpGauge(random: Random, known: Known, usual: number): TrueGauge {
	const resolution = random.pick(...RESOLUTIONS);
	const plain = { name: `g${random.next()}`, resolution: mm(resolution), correction: '0 mm' };
	if (known === 'defaults') {
		const max = Math.max(SCATTER * resolution, usual);
		const offset = random.between(-1, 1) * BIAS * resolution;
		return {
			resolution,
			scatter: random.between(0.3 * resolution, max),
			offset,
			carried: plain,
			formula: (count) =>
				1.959964 *
				Math.sqrt(max ** 2 / count + max ** 2 + resolution ** 2 / 12 + (BIAS * resolution) ** 2 / 3)
		};
	}
	const scatter = random.between(0.3, 2) * resolution;
	const error = random.between(0.1, 0.6) * resolution;
	let squares = 0;
	for (let pair = 0; pair < 10; pair++) {
		const truth = random.next();
		const [a, b] = [0, 0].map(() => round(truth + scatter * random.normal(), resolution));
		squares += (a! - b!) ** 2 / 2;
	}
	return {
		resolution,
		scatter,
		offset: error * random.normal(),
		carried: {
			...plain,
			correctionError: mm(error),
			repeatability: mm(Math.sqrt(squares / 10)),
			repeatabilityFreedom: 10
		},
		formula: () => null
	};
}

/** What one person reads of a truth by a gauge, so many times, as texts. */
export function readings(random: Random, gauge: TrueGauge, truth: number, count: number): string[] {
	const person = gauge.scatter * random.normal();
	return Array.from({ length: count }, () =>
		mm(round(truth + gauge.offset + person + gauge.scatter * random.normal(), gauge.resolution))
	);
}

/** A gauge that adds nothing to what is looked at. */
export const PERFECT: Reading['gauge'] = {
	name: 'perfect',
	resolution: '0.00001 mm',
	correction: '0 mm',
	correctionError: '0 mm',
	repeatability: '0 mm'
};
