/**
 * Defaults for a gauge about which too little is known: its repeatability, and its possible error
 * until it is checked. Source: docs/trade/springs.md. All are judgment calls; a shop can change the
 * repeatability.
 */
import { UNKNOWN_TESTER } from '../../springs/spring/index.ts';
import { inches, siOf } from '../../foundation/units/index.ts';
import type { Limits } from './schema/limits.ts';
import type { Quantity } from './quantities.ts';
import type { Reading } from './schema.ts';

/** Least standard deviation of one reading, in resolutions, where nobody has stated or measured it. */
export const UNKNOWN_REPEAT = 2;

/** Half-width of the possible error of a gauge that was never checked, in resolutions. */
const UNCHECKED_RESOLUTIONS = 3;

/** One standard deviation of one reading: in mm, or as a fraction of the load. */
export const ONE_READING = {
	height: inches(0.0015),
	sealGap: inches(0.003),
	indicator: inches(0.001),
	clay: inches(0.005),
	feeler: inches(0.001),
	tester: UNKNOWN_TESTER.scatter,
	onHead: 0.03
} as const;

/** Half-width of the possible error of an on-head tester that was never checked, as a fraction of the load. */
const UNCHECKED_ON_HEAD = 0.05;

type LengthDefault = Exclude<keyof typeof ONE_READING, 'tester' | 'onHead'>;

/** The default for each quantity. Micrometer readings use the resolution alone. */
const DEFAULT_OF: Partial<Record<Quantity, LengthDefault>> = {
	'installed-height': 'height',
	'built-height': 'height',
	'tip-height': 'height',
	preload: 'height',
	'seal-gap': 'sealGap',
	'seal-gap-at-lift': 'sealGap',
	'rocker-closed': 'feeler',
	'rocker-half-lift': 'feeler',
	'rocker-full-lift': 'feeler',
	lash: 'feeler'
};

/** The shop's own default for a length, else the usual one, in mm. */
export const lengthDefault = (of: LengthDefault, limits?: Limits): number => {
	const own = limits?.oneReading?.[of];
	return own ? siOf(own) : ONE_READING[of];
};

/**
 * One standard deviation of one reading by a gauge whose repeatability nobody knows: the larger
 * of two resolutions and the default of its quantity. Source: docs/trade/springs.md.
 *
 * @returns mm or N, as the reading's unit says
 */
export function usualScatter({ quantity, read, gauge }: Reading, limits?: Limits): number {
	const resolutions = (limits?.unknownRepeat ?? UNKNOWN_REPEAT) * siOf(gauge.resolution);
	if (quantity === 'on-head-load')
		return Math.max(resolutions, (limits?.oneReading?.onHead ?? ONE_READING.onHead) * siOf(read));
	const of = DEFAULT_OF[quantity];
	return of ? Math.max(resolutions, lengthDefault(of, limits)) : resolutions;
}

/**
 * Half-width of the possible error of a gauge that was never checked against a standard: its
 * maker's stated accuracy, or three resolutions, or 5 % of the load for an on-head tester if that
 * is more. 0 once it was checked. Source: docs/trade/springs.md.
 *
 * @returns mm or N, as the reading's unit says
 */
export function biasUnchecked({ quantity, read, gauge }: Reading): number {
	const isChecked = gauge.correctionError !== undefined || siOf(gauge.correction) !== 0;
	if (isChecked) return 0;
	if (gauge.accuracy !== undefined) return siOf(gauge.accuracy);
	const resolutions = UNCHECKED_RESOLUTIONS * siOf(gauge.resolution);
	return quantity === 'on-head-load'
		? Math.max(resolutions, UNCHECKED_ON_HEAD * siOf(read))
		: resolutions;
}
