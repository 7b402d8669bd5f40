/**
 * Reading what a machinist types. Forgiving on the way in ("1812", "1.812",
 * "1,812", `1.812"`, "46.02mm"), exact about what was understood, and never
 * silently mended: what cannot be read is refused with the reason, and what is
 * outside the plausible band is asked about by the caller.
 */
import {
	LOAD_TEXT,
	lengthOf,
	type LengthUnit,
	type LoadUnit,
	type Millimetres
} from './quantity.ts';

/** What a figure of any sort was understood as. */
export type Figure =
	{ readonly ok: true; readonly text: string } | { readonly ok: false; readonly problem: string };

export type Entry =
	| {
			readonly ok: true;
			/** The text to keep: digits as read, with unit, such as "1.812 in". */
			readonly text: string;
			readonly length: Millimetres;
			/** True when the digits were read as thousandths of an inch. */
			readonly thousandths: boolean;
	  }
	| { readonly ok: false; readonly problem: string };

const refuse = (problem: string) => ({ ok: false, problem }) as const;

const SUFFIX: Readonly<Record<string, LengthUnit>> = { '"': 'in', in: 'in', mm: 'mm' };

/**
 * Reads one length as typed at the bench.
 *
 * In inches, digits without a decimal point are thousandths ("1812" is
 * 1.812 in, "20" is 0.020 in). A comma is read as a decimal mark where there
 * is just one and no point. A unit typed behind the digits wins over `unit`.
 *
 * @param typed what was keyed, in any state of completeness
 * @param unit the unit the person works in
 *
 * @example readEntry('1812', 'in') // { ok: true, text: '1.812 in', … }
 */
export function readEntry(typed: string, unit: LengthUnit): Entry {
	const trimmed = typed.trim();
	if (trimmed === '') return refuse('Type the figure off the gauge.');

	const suffix = /("|in|mm)$/i.exec(trimmed)?.[1]?.toLowerCase();
	const body = (suffix ? trimmed.slice(0, -suffix.length) : trimmed).trim();
	const readIn = suffix ? SUFFIX[suffix]! : unit;

	if (/^[-−]/.test(body)) return refuse('A reading cannot be negative.');
	if (/[,.].*[,.]/.test(body)) {
		return refuse(`Two decimal marks in “${trimmed}”: type it once more with one.`);
	}
	const digits = body.replace(',', '.');
	if (!/^(\d+\.?\d*|\.\d+)$/.test(digits)) {
		return refuse(`“${trimmed}” is not a figure: digits and one decimal point.`);
	}
	const decimals = digits.split('.')[1]?.length ?? 0;
	if (decimals > 5) return refuse('More decimals than any gauge here reads: at most five.');
	if (digits.replace('.', '').length > 9) return refuse('Too many digits for one reading.');

	const thousandths = readIn === 'in' && !digits.includes('.');
	const kept = thousandths ? fromThousandths(digits) : tidy(digits);
	const text = `${kept} ${readIn}`;
	const length = lengthOf(text);
	return { ok: true, text, length, thousandths };
}

/** "1812" → "1.812", "20" → "0.020": shifting digits as text keeps them exact. */
function fromThousandths(digits: string): string {
	const padded = digits.padStart(4, '0');
	return tidy(`${padded.slice(0, -3)}.${padded.slice(-3)}`);
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

/**
 * The text of a load or rate as typed: bare digits get the unit the person
 * works in, a comma is a decimal mark, a unit typed is kept. What is not a
 * figure is handed back as it is, for the schema to refuse.
 *
 * @example withUnit('130', 'lbf') // '130 lbf'
 */
export function withUnit(typed: string, unit: string): string {
	const text = typed.trim().replace(/^(\d+),(\d+)/, '$1.$2');
	if (/^\d+\.?$/.test(text) || /^\d*\.\d+$/.test(text)) {
		return `${tidy(text)} ${unit}`;
	}
	return text.replace(/^([\d.]+)\s*([a-z].*)$/i, '$1 $2');
}

/** Reads one load as typed at the bench or sent by a gauge: digits, and a unit where it is not the person's own. */
export function readLoadEntry(typed: string, unit: LoadUnit): Figure {
	const trimmed = typed.trim();
	if (trimmed === '') return refuse('Type the figure off the gauge.');
	if (/^[-−]/.test(trimmed)) return refuse('A reading cannot be negative.');
	const text = withUnit(trimmed, unit);
	return LOAD_TEXT.test(text)
		? { ok: true, text }
		: refuse(`“${trimmed}” is not a load: digits, and lbf, N or kgf.`);
}
