/** Reading what is typed into a quick sum: shop entry in any unit, as everywhere. */
import { message, type Message } from '../foundation/message/index.ts';
import {
	lengthOf,
	loadOf,
	RATE_TEXT,
	rateOf,
	rateUnit,
	readLoadEntry,
	readSignedEntry,
	withUnit,
	type Units
} from '../foundation/units/index.ts';
import type { CalculatorDimension } from './calculator.ts';

export type CalculatorEntry =
	| {
			readonly ok: true;
			/** In its SI unit. */
			readonly value: number;
			/** What was understood, with its unit: it means the same to whoever reads in others. */
			readonly text: string;
	  }
	| { readonly ok: false; readonly problem: Message };

const PLAIN = /^[+-]?(\d+\.?\d*|\.\d+)$/;
/** Kilopascals in a unit of pressure. */
export const KPA_PER_UNIT = { bar: 100, psi: 6.894757, kPa: 1 } as const;
type PressureUnit = keyof typeof KPA_PER_UNIT;
export const pressureUnit = ({ length }: Units): PressureUnit => (length === 'in' ? 'psi' : 'bar');
/** Units accepted after a figure, by dimension; lengths, loads and rates are read elsewhere. */
const SUFFIX: Readonly<Partial<Record<CalculatorDimension, RegExp>>> = {
	volume: /\s*(cc|cm3|cm³|ml)$/i,
	pressure: /\s*(bar|psi|kpa)$/i,
	degrees: /\s*°$/
};
const NO_UNIT = /(?!)/;

/**
 * Reads one figure of a sum.
 *
 * @param typed what stands in its field
 * @param units the units of who types, for what has none of its own
 * @returns the figure in its SI unit, or what is wrong with it
 * @example readSumEntry('1150', 'length', INCH_POUND) // 29.21 mm, '1.150 in'
 */
export function readSumEntry(
	typed: string,
	dimension: CalculatorDimension,
	units: Units
): CalculatorEntry {
	const text = typed.trim();
	if (dimension === 'length') {
		const entry = readSignedEntry(text, units.length);
		return entry.ok ? { ok: true, value: lengthOf(entry.text), text: entry.text } : entry;
	}
	if (dimension === 'load') {
		const entry = readLoadEntry(text, units.load);
		return entry.ok ? { ok: true, value: loadOf(entry.text), text: entry.text } : entry;
	}
	if (text === '') return { ok: false, problem: message('entry.empty') };
	const notFigure = { ok: false, problem: message('entry.not-figure', { typed: text }) } as const;
	if (dimension === 'rate') {
		const kept = withUnit(text, rateUnit(units));
		return RATE_TEXT.test(kept) ? { ok: true, value: rateOf(kept), text: kept } : notFigure;
	}
	const unitOf = SUFFIX[dimension] ?? NO_UNIT;
	const [, suffix] = unitOf.exec(text) ?? [];
	const digits = text.replace(',', '.').replace(unitOf, '');
	if (!PLAIN.test(digits)) return notFigure;
	const value = Number(digits);
	if (dimension !== 'pressure') return { ok: true, value, text };
	const named = Object.keys(KPA_PER_UNIT).find(
		(unit) => unit.toLowerCase() === suffix?.toLowerCase()
	);
	const unit = (named ?? pressureUnit(units)) as PressureUnit;
	return { ok: true, value: value * KPA_PER_UNIT[unit], text: `${digits} ${unit}` };
}
