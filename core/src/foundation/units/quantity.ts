/**
 * A quantity is a number that knows what it measures. Inside the core every
 * length is in millimetres and every force in newtons; the types keep the two
 * apart, so a load can never be added to a height by mistake.
 *
 * At the edges (files, screens, gauges) a quantity is a text that keeps the
 * digits as they were read and names its unit: "1.820 in", "46.23 mm",
 * "130 lbf", "355 lbf/in".
 */
declare const dimension: unique symbol;

export type Millimetres = number & { readonly [dimension]: 'length' };
export type Newtons = number & { readonly [dimension]: 'force' };
export type NewtonsPerMillimetre = number & { readonly [dimension]: 'rate' };
export type Joules = number & { readonly [dimension]: 'energy' };
export type Kilograms = number & { readonly [dimension]: 'mass' };
export type Kilopascals = number & { readonly [dimension]: 'pressure' };
/** Of the crankshaft, a minute. */
export type RevolutionsPerMinute = number & { readonly [dimension]: 'speed' };
export type CubicCentimetres = number & { readonly [dimension]: 'volume' };
export type KilogramSquareMillimetres = number & { readonly [dimension]: 'inertia' };

export type LengthUnit = 'in' | 'mm';
export type LoadUnit = 'lbf' | 'N' | 'kgf';
export type RateUnit = 'lbf/in' | 'N/mm' | 'kgf/mm';

/** A number of millimetres as a length. */
export const mm = (value: number) => value as Millimetres;

/** A number of newtons as a load. */
export const newtons = (value: number) => value as Newtons;

/** A number of newtons a millimetre as a rate. */
export const newtonsPerMm = (value: number) => value as NewtonsPerMillimetre;

/** A number of joules as an energy. */
export const joules = (value: number) => value as Joules;

/** A number of kilograms as a mass. */
export const kilograms = (value: number) => value as Kilograms;

/** A number of cubic centimetres as a volume. */
export const cubicCentimetres = (value: number) => value as CubicCentimetres;

/** Millimetres in one of each length unit; exact by definition. */
export const MM_PER: Readonly<Record<LengthUnit, number>> = { in: 25.4, mm: 1 };

/** Newtons in one of each load unit; exact by definition of the pound and of standard gravity. */
export const NEWTONS_PER: Readonly<Record<LoadUnit, number>> = {
	lbf: 4.4482216152605,
	N: 1,
	kgf: 9.80665
};

const RATE_PER: Readonly<Record<RateUnit, number>> = {
	'lbf/in': NEWTONS_PER.lbf / MM_PER.in,
	'N/mm': 1,
	'kgf/mm': NEWTONS_PER.kgf
};

/** A number of inches as a length. @example inches(1) // 25.4 mm */
export const inches = (value: number) => mm(value * MM_PER.in);

/** A number of pounds-force as a load. @example poundsForce(1) // 4.4482216152605 N */
export const poundsForce = (value: number) => newtons(value * NEWTONS_PER.lbf);

/**
 * Digits of a quantity. Bounded, so that every text stands for a finite number:
 * four hundred digits would be infinite, and no limit holds against that.
 */
const DIGITS = String.raw`\d{1,9}(\.\d{1,20})?`;
const textOf = (sign: '' | '[+-]?', units: string) => new RegExp(`^${sign}${DIGITS} (${units})$`);

/** The text of a quantity: signed decimal digits, one space, the unit. */
export const LENGTH_TEXT = textOf('[+-]?', 'in|mm');
export const LOAD_TEXT = textOf('', 'lbf|N|kgf');
export const RATE_TEXT = textOf('', 'lbf/in|N/mm|kgf/mm');
export const MASS_TEXT = textOf('', 'g|kg');
export const VOLUME_TEXT = textOf('[+-]?', 'cc');
/** Above the air outside, or between two places. */
export const PRESSURE_TEXT = textOf('', 'psi|bar|kPa');
/** How far below the air outside; what a gauge shows of a vacuum. */
export const VACUUM_TEXT = textOf('', 'inHg|mbar|kPa');
export const INERTIA_TEXT = textOf('', 'kg·mm²');

/**
 * The length that a text such as "1.820 in" stands for, in millimetres.
 * Throws a RangeError on any other text: files and forms are checked before
 * they get here, so this is a bug in the caller.
 *
 * @example lengthOf('1.820 in') // 46.228
 */
export function lengthOf(text: string): Millimetres {
	return mm(remembered(lengths, text, () => parse(text, LENGTH_TEXT, MM_PER)));
}

/** The load that a text such as "130 lbf" stands for, in newtons. Throws as {@link lengthOf} does. */
export function loadOf(text: string): Newtons {
	return newtons(remembered(loads, text, () => parse(text, LOAD_TEXT, NEWTONS_PER)));
}

/** What a text that a gauge may read measures, by its unit; null for any other text. */
export const measureOf = (text: string): 'length' | 'load' | 'volume' | null =>
	LENGTH_TEXT.test(text)
		? 'length'
		: LOAD_TEXT.test(text)
			? 'load'
			: VOLUME_TEXT.test(text)
				? 'volume'
				: null;

/** A length in millimetres, a load in newtons or a volume in cubic centimetres, by its unit. Throws as {@link lengthOf} does. */
export function siOf(text: string): number {
	if (lengths.has(text) || LENGTH_TEXT.test(text)) return lengthOf(text);
	return text.endsWith('cc') ? volumeOf(text) : loadOf(text);
}

/** The spring rate that a text such as "355 lbf/in" stands for, in newtons a millimetre. Throws as {@link lengthOf} does. */
export function rateOf(text: string): NewtonsPerMillimetre {
	return newtonsPerMm(parse(text, RATE_TEXT, RATE_PER));
}

/** The mass that a text such as "32.5 g" stands for, in kilograms. Throws as {@link lengthOf} does. */
export function massOf(text: string): Kilograms {
	return kilograms(parse(text, MASS_TEXT, { g: 1e-3, kg: 1 }));
}

/** The volume that a text such as "46.5 cc" stands for, in cubic centimetres. Throws as {@link lengthOf} does. */
export function volumeOf(text: string): CubicCentimetres {
	return cubicCentimetres(parse(text, VOLUME_TEXT, { cc: 1 }));
}

/** Kilopascals in a unit of vacuum; the inch of mercury at 0 °C. */
const KPA_PER = { kPa: 1, mbar: 0.1, inHg: 3.386389 } as const;
export type VacuumUnit = keyof typeof KPA_PER;

/** The vacuum that a text such as "20 inHg" stands for, in kilopascals. Throws as {@link lengthOf} does. */
export function vacuumOf(text: string): Kilopascals {
	return parse(text, VACUUM_TEXT, KPA_PER) as Kilopascals;
}

/** The pressure that a text such as "15 psi" stands for, in kilopascals. Throws as {@link lengthOf} does. */
export function pressureOf(text: string): Kilopascals {
	return parse(text, PRESSURE_TEXT, { kPa: 1, bar: 100, psi: 6.894757 }) as Kilopascals;
}

/** The moment of inertia that a text such as "31.0 kg·mm²" stands for. Throws as {@link lengthOf} does. */
export function inertiaOf(text: string): KilogramSquareMillimetres {
	return parse(text, INERTIA_TEXT, { 'kg·mm²': 1 }) as KilogramSquareMillimetres;
}

/** Texts read before: a sheet reads the same few hundred over and over. */
const lengths = new Map<string, number>();
const loads = new Map<string, number>();
const MAX_REMEMBERED = 5000;

function remembered(known: Map<string, number>, text: string, read: () => number): number {
	const before = known.get(text);
	if (before !== undefined) return before;
	const value = read();
	if (known.size >= MAX_REMEMBERED) known.clear();
	known.set(text, value);
	return value;
}

function parse(text: string, pattern: RegExp, per: Readonly<Record<string, number>>): number {
	if (!pattern.test(text)) throw new RangeError(`not a quantity: "${text}"`);
	const space = text.indexOf(' ');
	return Number(text.slice(0, space)) * per[text.slice(space + 1)]!;
}

/**
 * The unit named in a length text.
 *
 * @example unitOf('1.820 in') // 'in'
 */
export function unitOf(text: string): LengthUnit {
	return text.endsWith('in') ? 'in' : 'mm';
}

/**
 * Limits are compared after rounding to 0.1 µm and 0.01 N, so that a margin of
 * exactly the limit passes whatever floating point makes of it (docs/trade/foundation.md#units).
 */
export const COMPARISON_STEP = {
	length: 1e-4,
	load: 1e-2,
	pressure: 1e-9,
	volume: 1e-4,
	speed: 1
} as const;

/**
 * A figure in its SI unit, rounded to the step in which it is compared: a margin of
 * exactly its limit is equal to it, whatever sums led there.
 *
 * @example toComparisonStep(1.27000000001, 'length') // 1.27
 */
export function toComparisonStep(value: number, dimension: keyof typeof COMPARISON_STEP): number {
	const step = COMPARISON_STEP[dimension];
	return Math.round(value / step) * step;
}
