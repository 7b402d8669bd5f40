/** Reading what is typed into a quick sum: shop entry in any unit, as everywhere. */
import { message, type Message } from '../message/index.ts';
import { loadOf, rateOf, readEntry, readLoadEntry, type Units } from '../units/index.ts';
import type { SumDimension } from './sum.ts';

export type SumEntry =
	{ readonly ok: true; readonly value: number } | { readonly ok: false; readonly problem: Message };

const PLAIN = /^[+-]?(\d+\.?\d*|\.\d+)$/;
const VOLUME = /\s*(cc|cm3|cm³|ml)$/i;
/** Kilopascals in a unit of pressure. */
const KPA = { bar: 100, psi: 6.894757, kpa: 1 } as const;
const PRESSURE = /\s*(bar|psi|kpa)$/i;

/**
 * Reads one figure of a sum.
 *
 * @param typed what stands in its field
 * @param units the units of who types, for what has none of its own
 * @returns the figure in its SI unit, or what is wrong with it
 * @example readSumEntry('1150', 'length', INCH_POUND) // 29.21 mm
 */
export function readSumEntry(typed: string, dimension: SumDimension, units: Units): SumEntry {
	const text = typed.trim();
	if (dimension === 'length') {
		const isNegative = /^[-−]/.test(text);
		const entry = readEntry(text.replace(/^[-−]/, ''), units.length);
		return entry.ok ? { ok: true, value: isNegative ? -entry.length : entry.length } : entry;
	}
	if (dimension === 'load') {
		const entry = readLoadEntry(text, units.load);
		return entry.ok ? { ok: true, value: loadOf(entry.text) } : entry;
	}
	if (text === '') return { ok: false, problem: message('entry.empty') };
	const [, pressure] = PRESSURE.exec(text) ?? [];
	const digits = text
		.replace(',', '.')
		.replace(VOLUME, '')
		.replace(PRESSURE, '')
		.replace(/\s*°$/, '');
	const rate = /^(\S+) (lbf\/in|N\/mm|kgf\/mm)$/.exec(text.replace(',', '.'));
	if (dimension === 'rate' && rate) return { ok: true, value: rateOf(text.replace(',', '.')) };
	if (!PLAIN.test(digits))
		return { ok: false, problem: message('entry.not-figure', { typed: text }) };
	const value = Number(digits);
	if (dimension === 'rate') {
		const unit = units.load === 'lbf' ? 'lbf/in' : units.load === 'N' ? 'N/mm' : 'kgf/mm';
		return { ok: true, value: rateOf(`${digits} ${unit}`) };
	}
	if (dimension !== 'pressure') return { ok: true, value };
	const usual = units.length === 'in' ? 'psi' : 'bar';
	const unit = (pressure?.toLowerCase() ?? usual) as keyof typeof KPA;
	return { ok: true, value: value * KPA[unit] };
}
