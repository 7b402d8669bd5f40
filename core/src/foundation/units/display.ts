/**
 * How a quantity is written for a person, in the units that person reads.
 * Switching units changes what is written, never what is stored.
 */
import {
	COMPARISON_STEP,
	MM_PER,
	NEWTONS_PER,
	type CubicCentimetres,
	type Kilograms,
	type LengthUnit,
	type LoadUnit,
	type Millimetres,
	type Newtons,
	type NewtonsPerMillimetre,
	type RateUnit,
	type RevolutionsPerMinute
} from './quantity.ts';

export interface Units {
	readonly length: LengthUnit;
	readonly load: LoadUnit;
}

export const INCH_POUND: Units = { length: 'in', load: 'lbf' };
export const METRIC: Units = { length: 'mm', load: 'N' };

const LENGTH_DECIMALS: Readonly<Record<LengthUnit, number>> = { in: 3, mm: 2 };
const LOAD_DECIMALS: Readonly<Record<LoadUnit, number>> = { lbf: 0, N: 0, kgf: 1 };
const RATE_UNIT: Readonly<Record<LoadUnit, RateUnit>> = {
	lbf: 'lbf/in',
	N: 'N/mm',
	kgf: 'kgf/mm'
};

/**
 * A length to 0.001 in or 0.01 mm, or to what its gauge resolves where that is
 * finer, without its unit. A length that is not nothing never reads as nothing:
 * it gets a digit or two more.
 *
 * @param resolution of the gauge it was read with, where one was
 *
 * @example showLength(mm(0.00508), INCH_POUND) // '0.0002'
 */
export function showLength(length: Millimetres, units: Units, resolution?: Millimetres): string {
	const value = length / MM_PER[units.length];
	let decimals = decimalsFor(units, resolution);
	const max = decimals + 2;
	const isNothing = Math.abs(length) < COMPARISON_STEP.length / 2;
	while (!isNothing && decimals < max && Number(fixed(Math.abs(value), decimals)) === 0) decimals++;
	return fixed(value, decimals);
}

/**
 * Two lengths with as many digits as it takes to tell them apart: a margin of
 * 0.0498 beside its floor of 0.050. Alike to the comparison step, they read alike.
 *
 * @param resolution of the gauge in mm: a finer one than usual shows a digit more
 * @returns the first of them, in the reader's unit, without its name
 */
export function showLengthInBoth(
	length: Millimetres,
	other: Millimetres,
	units: Units,
	resolution?: Millimetres
): string {
	const per = MM_PER[units.length];
	const decimals = decimalsFor(units, resolution);
	const plain = showLength(length, units, resolution);
	const isAlike = Math.abs(length - other) < COMPARISON_STEP.length / 2;
	if (isAlike || fixed(length / per, decimals) !== fixed(other / per, decimals)) return plain;
	return fixed(length / per, decimals + 1);
}

/** Decimals of a length in a person's units: the usual ones, one more where the gauge resolves finer. */
const decimalsFor = ({ length }: Units, resolution?: Millimetres): number => {
	const usual = LENGTH_DECIMALS[length];
	const step = MM_PER[length] / 10 ** usual;
	return resolution !== undefined && resolution < step * (1 - 1e-9) ? usual + 1 : usual;
};

/**
 * A load to 1 lbf, 1 N or 0.1 kgf, without its unit.
 *
 * @param resolution of the tester in N: a finer one than usual shows a digit more
 */
export function showLoad(load: Newtons, units: Units, resolution?: Newtons): string {
	const per = NEWTONS_PER[units.load];
	const usual = LOAD_DECIMALS[units.load];
	const isFiner = resolution !== undefined && resolution < (per / 10 ** usual) * (1 - 1e-9);
	return fixed(load / per, isFiner ? usual + 1 : usual);
}

/** A volume to 0.1 cc, without its unit. */
export const showVolume = (volume: CubicCentimetres): string => fixed(volume, 1);

/** An engine speed to ten revolutions, in rpm without its unit. */
export const showSpeed = (speed: RevolutionsPerMinute): string =>
	(Math.round(speed / 10) * 10).toLocaleString('en');

/** A mass in grams to 0.1 g, without its unit. */
export function showMass(mass: Kilograms): string {
	return fixed(mass * 1000, 1);
}

/** A spring rate in the unit that goes with the load unit, without that unit. */
export function showRate(rate: NewtonsPerMillimetre, units: Units): string {
	const perLength = units.load === 'lbf' ? MM_PER.in : 1;
	return fixed((rate * perLength) / NEWTONS_PER[units.load], units.load === 'lbf' ? 0 : 2);
}

/** The unit in which a person reads a spring's rate: lbf/in, N/mm or kgf/mm. */
export function rateUnit(units: Units): RateUnit {
	return RATE_UNIT[units.load];
}

/** The text of a length as a file or a form would hold it: "1.820 in". */
export function lengthText(length: Millimetres, unit: LengthUnit): string {
	return `${showLength(length, { length: unit, load: 'N' })} ${unit}`;
}

/** The text of a load as a file or a form would hold it: "130 lbf". */
export function loadText(load: Newtons, unit: LoadUnit): string {
	return `${showLoad(load, { length: 'mm', load: unit })} ${unit}`;
}

/**
 * Decimal digits rounded half away from zero, with a true minus sign and no
 * "−0". The value is nudged by a part in 10¹² first, so that 0.0005 stored in
 * binary as a hair less still rounds up as a machinist would.
 */
function fixed(value: number, decimals: number): string {
	const scale = 10 ** decimals;
	const rounded = Math.round(Math.abs(value) * scale * (1 + 1e-12)) / scale;
	const digits = rounded.toFixed(decimals);
	return value < 0 && rounded !== 0 ? `−${digits}` : digits;
}
