/**
 * What stands for a gauge of which too little is known: how far one of its readings scatters,
 * and how far it may read wrong while it was never checked. Source: handbook §5. All are judgment
 * calls that a shop can change.
 */
import { inches, siOf } from '../units/index.ts';
import type { Limits } from './schema/limits.ts';
import type { Quantity } from './quantities.ts';
import type { Reading } from './schema.ts';

/** Resolutions that one reading scatters by at least, where nobody has stated or measured it. */
export const UNKNOWN_REPEAT = 2;

/** Resolutions that a gauge that was never checked may read wrong by. */
const UNCHECKED_RESOLUTIONS = 3;

/** One standard deviation of one reading: a length in mm, or a part of the load. */
export const ONE_READING = {
	height: inches(0.0015),
	sealGap: inches(0.003),
	indicator: inches(0.001),
	clay: inches(0.005),
	feeler: inches(0.001),
	tester: 0.01,
	onHead: 0.03
} as const;

/** The part of a load that a tester that was never checked may read wrong by. */
export const UNCHECKED_PART = { tester: 0.02, onHead: 0.05 } as const;

type LengthDefault = Exclude<keyof typeof ONE_READING, 'tester' | 'onHead'>;

/** Which default a quantity goes by; what a micrometer reads goes by its resolution alone. */
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
 * of two resolutions and the default of its quantity. Source: handbook §5.
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
 * How far on either side a gauge may read wrong that was never checked against a standard: its
 * maker's stated accuracy, else the larger of three resolutions and, on the head, a part of the
 * load. 0 once it was checked. Source: handbook §5.
 *
 * @returns mm or N, as the reading's unit says
 */
export function biasUnchecked({ quantity, read, gauge }: Reading): number {
	const isChecked = gauge.correctionError !== undefined || siOf(gauge.correction) !== 0;
	if (isChecked) return 0;
	if (gauge.accuracy !== undefined) return siOf(gauge.accuracy);
	const resolutions = UNCHECKED_RESOLUTIONS * siOf(gauge.resolution);
	return quantity === 'on-head-load'
		? Math.max(resolutions, UNCHECKED_PART.onHead * siOf(read))
		: resolutions;
}
