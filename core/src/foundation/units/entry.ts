/**
 * Reading what a machinist types. Forgiving on the way in ("1812", "1.812",
 * "1,812", `1.812"`, "20 thou", "1 13/16", "46.02mm"), exact about what was
 * understood, and never silently mended: what cannot be read, or could mean two
 * things, is refused with the reason, and what is outside the plausible band is
 * asked about by the caller.
 */
import { message, type Message } from '../message/index.ts';
import {
	LOAD_TEXT,
	lengthOf,
	loadOf,
	type LengthUnit,
	type LoadUnit,
	type Millimetres
} from './quantity.ts';

declare module '../message/message.ts' {
	interface Messages {
		'entry.empty': null;
		'entry.negative': null;
		'entry.two-decimals': { readonly typed: string };
		'entry.not-figure': { readonly typed: string };
		'entry.too-many-decimals': null;
		'entry.too-many-digits': null;
		'entry.not-fraction': { readonly typed: string };
		'entry.not-load': { readonly typed: string };
		'entry.two-meanings': { readonly typed: string; readonly meanings: readonly string[] };
	}
}

/** What a figure of any type was understood as. */
export type FigureEntry =
	{ readonly ok: true; readonly text: string } | { readonly ok: false; readonly problem: Message };

export type Entry =
	| {
			readonly ok: true;
			/** The text to keep: digits as read, with unit, such as "1.812 in". */
			readonly text: string;
			readonly length: Millimetres;
			/** True when the digits were read as thousandths of an inch. */
			readonly thousandths: boolean;
	  }
	| { readonly ok: false; readonly problem: Message };

const refuse = (problem: Message) => ({ ok: false, problem }) as const;

/** What people write behind a length, and what it is. */
const LENGTH_SUFFIX: readonly (readonly [RegExp, LengthUnit | 'thou'])[] = [
	[/(?:thousandths?|thous?|mils?)\.?$/i, 'thou'],
	[/(?:["″”]|''|’’|inch(?:es)?|in\.?)$/i, 'in'],
	[/(?:millimet(?:er|re)s?|mm\.?)$/i, 'mm']
];

/** "1 13/16", "13/16", "1-13/16": an inch in halves, quarters … sixty-fourths. */
const FRACTION = /^(?:(\d{1,2})[\s-]+)?(\d{1,2})\s*[/⁄]\s*(\d{1,2})$/;
const DENOMINATORS = [2, 4, 8, 16, 32, 64];

/**
 * Reads one length as typed at the bench.
 *
 * In inches, digits without a decimal point are thousandths ("1812" is
 * 1.812 in, "20" is 0.020 in), and so are those before "thou" in any units. A
 * fraction is of an inch. A comma is read as a decimal mark where there is just
 * one and no point. A unit typed behind the digits wins over `unit`.
 *
 * @param typed what was keyed, in any state of completeness
 * @param unit the unit the person works in
 *
 * @example readEntry('1812', 'in') // { ok: true, text: '1.812 in', … }
 */
export function readEntry(typed: string, unit: LengthUnit): Entry {
	const trimmed = typed.trim();
	if (trimmed === '') return refuse(message('entry.empty'));

	const [pattern, suffix] = LENGTH_SUFFIX.find(([of]) => of.test(trimmed)) ?? [null, undefined];
	const body = (pattern ? trimmed.replace(pattern, '') : trimmed).trim();

	if (/^[-−]/.test(body)) return refuse(message('entry.negative'));
	const fraction = FRACTION.exec(body);
	if (fraction && suffix !== 'thou' && suffix !== 'mm') return readFraction(trimmed, fraction);
	if (/[,.].*[,.]/.test(body)) {
		return refuse(message('entry.two-decimals', { typed: trimmed }));
	}
	const digits = body.replace(',', '.');
	if (!/^(\d+\.?\d*|\.\d+)$/.test(digits)) {
		return refuse(message('entry.not-figure', { typed: trimmed }));
	}
	const decimals = digits.split('.')[1]?.length ?? 0;
	if (decimals > 5) return refuse(message('entry.too-many-decimals'));
	if (digits.replace('.', '').length > 9) return refuse(message('entry.too-many-digits'));

	const readIn = suffix === 'thou' ? 'in' : (suffix ?? unit);
	const thousandths = suffix === 'thou' || (readIn === 'in' && !digits.includes('.'));
	const kept = thousandths ? fromThousandths(digits) : tidy(digits);
	const text = `${kept} ${readIn}`;
	return { ok: true, text, length: lengthOf(text), thousandths };
}

function readFraction(typed: string, [, whole = '0', over, under]: RegExpExecArray): Entry {
	const [numerator, denominator] = [Number(over), Number(under)];
	if (!DENOMINATORS.includes(denominator) || numerator >= denominator) {
		return refuse(message('entry.not-fraction', { typed }));
	}
	// Halves to sixty-fourths end after six decimals, so the text is exact.
	const text = `${Number(whole) + numerator / denominator} in`;
	return { ok: true, text, length: lengthOf(text), thousandths: false };
}

/** "1812" → "1.812", "20" → "0.020", "1.5" → "0.0015": shifting digits as text keeps them exact. */
function fromThousandths(digits: string): string {
	const [whole = '', fraction = ''] = digits.split('.');
	const padded = whole.padStart(4, '0');
	return tidy(`${padded.slice(0, -3)}.${padded.slice(-3)}${fraction}`);
}

/** One digit before the point at least, none spare, and no bare trailing point. */
function tidy(digits: string): string {
	const [whole = '', fraction = ''] = digits.split('.');
	const head = whole.replace(/^0+(?=\d)/, '') || '0';
	return fraction === '' ? head : `${head}.${fraction}`;
}

/** The figures between which a reading is believed without asking, in SI units. */
export interface Band<Q extends number = Millimetres> {
	readonly from: Q;
	readonly to: Q;
}

/** Whether a figure lies in a band, its ends counted in; both in the band's own unit. */
export function isPlausible(figure: number, band: Band<number>): boolean {
	return figure >= band.from && figure <= band.to;
}

/**
 * Reads a length that may stand below or above something, such as a lock
 * offset: a sign is allowed in front.
 */
export function readSignedEntry(typed: string, unit: LengthUnit): Entry {
	const sign = /^\s*[-−]/.test(typed) ? '-' : '';
	const entry = readEntry(typed.replace(/^\s*[-−+]/, ''), unit);
	if (!entry.ok || sign === '') return entry;
	const text = `-${entry.text}`;
	return { ...entry, text, length: lengthOf(text) };
}

/** What a gauge reads. */
export type ReadAs = 'length' | 'load' | 'volume';

/**
 * Reads what a gauge of some type shows, as typed: a length, a load, or a volume in cubic centimetres.
 *
 * @param likelyLoads tells what "1,234" means of a load
 */
export function readMeasured(
	typed: string,
	as: ReadAs,
	units: { readonly length: LengthUnit; readonly load: LoadUnit },
	likelyLoads?: Band<number>
): FigureEntry {
	if (as === 'length') return readEntry(typed, units.length);
	return as === 'load' ? readLoadEntry(typed, units.load, likelyLoads) : readVolumeEntry(typed);
}

/** Reads a volume: digits, and "cc", "ccm", "cm³" or "ml" behind them or not. */
function readVolumeEntry(typed: string): FigureEntry {
	const trimmed = typed.trim();
	if (trimmed === '') return refuse(message('entry.empty'));
	if (/^[-−]/.test(trimmed)) return refuse(message('entry.negative'));
	const [, digits] = /^(\d{1,4}(?:[.,]\d{0,4})?)\s*(?:ccm?|cm3|cm³|ml)?$/i.exec(trimmed) ?? [];
	return digits === undefined
		? refuse(message('entry.not-figure', { typed: trimmed }))
		: { ok: true, text: `${tidy(digits.replace(',', '.'))} cc` };
}

/** What people write behind a load, a rate or a mass, and the unit's own sign. */
const SAID_UNITS: readonly (readonly [RegExp, string])[] = [
	[/^(?:#|lbs?\.?|lbf|pounds?)$/i, 'lbf'],
	[/^(?:n|newtons?)$/i, 'N'],
	[/^(?:kgf|kgs?\.?|kp|kilos?)$/i, 'kgf'],
	[/^(?:lbs?|lbf|#)\s*(?:\/|per)\s*in(?:ch)?\.?$/i, 'lbf/in'],
	[/^n\s*(?:\/|per)\s*mm$/i, 'N/mm'],
	[/^(?:kgf|kg|kp)\s*(?:\/|per)\s*mm$/i, 'kgf/mm'],
	[/^(?:g|gr|grams?)$/i, 'g']
];

/** A comma before just three digits stands for thousands in one country and for a decimal mark in another. */
const TWO_MEANINGS = /^([1-9]\d{0,2}),(\d{3})(?![\d.,])\s*(.*)$/;

/**
 * The text of a load, rate or mass as typed: bare digits get the unit the person
 * works in, a comma is a decimal mark, a unit typed is kept ("lbs" as lbf). What
 * is not a figure, or could be two ("1,234"), is handed back as it is, for the
 * schema to refuse.
 *
 * @example withUnit('130', 'lbf') // '130 lbf'
 */
export function withUnit(typed: string, unit: string): string {
	const trimmed = typed.trim();
	if (TWO_MEANINGS.test(trimmed)) return trimmed;
	const text = trimmed.replace(/^(\d+),(\d+)/, '$1.$2');
	const [, digits, unitText] = /^(\d+\.?\d*|\.\d+)\s*(\D.*)?$/.exec(text) ?? [];
	if (digits === undefined) return text;
	if (unitText === undefined) return `${tidy(digits)} ${unit}`;
	// A kilogram is a force where a force is wanted, and a mass where a mass is.
	const own = unit === 'g' && /^(?:kg|kilos?)$/i.test(unitText) ? 'kg' : undefined;
	const known = own ?? SAID_UNITS.find(([of]) => of.test(unitText))?.[1];
	return `${digits} ${known ?? unitText}`;
}

/**
 * Reads one load as typed at the bench or sent by a gauge: digits, and a unit
 * where it is not the person's own. "1,234" is taken for the one meaning that
 * is plausible, and asked about where both or neither are.
 *
 * @param band loads that are believed here; without one, two meanings are asked about
 */
export function readLoadEntry(typed: string, unit: LoadUnit, band?: Band<number>): FigureEntry {
	const trimmed = typed.trim();
	if (trimmed === '') return refuse(message('entry.empty'));
	if (/^[-−]/.test(trimmed)) return refuse(message('entry.negative'));
	const two = TWO_MEANINGS.exec(trimmed);
	if (two) return readOneMeaning(two, unit, band);
	const text = withUnit(trimmed, unit);
	return LOAD_TEXT.test(text)
		? { ok: true, text }
		: refuse(message('entry.not-load', { typed: trimmed }));
}

function readOneMeaning(
	[typed, whole, rest, unitText]: RegExpExecArray,
	unit: LoadUnit,
	band: Band<number> | undefined
): FigureEntry {
	const meanings = [`${whole}${rest}`, `${whole}.${rest}`];
	const likely = meanings
		.map((digits) => withUnit(`${digits} ${unitText}`.trim(), unit))
		.filter((text) => LOAD_TEXT.test(text) && band && isPlausible(loadOf(text), band));
	return likely.length === 1
		? { ok: true, text: likely[0]! }
		: refuse(message('entry.two-meanings', { typed, meanings }));
}
