/** A sheet as plain JSON values, for files and for signing. */
import type { Message } from '../../foundation/message/index.ts';
import type { Units } from '../../foundation/units/index.ts';
import type { Sheet } from './sheet.ts';

/** Functions, what the rules of fit were asked about, and what stands under `kinds` already. */
const LEFT_OUT = new Set(['curve', 'line', 'promised', 'fitContexts', 'shared']);

export type Json =
	string | number | boolean | null | readonly Json[] | { readonly [key: string]: Json };

/** Says a message in somebody's units. */
export type Write = (message: Message, units: Units) => string;

/** Whether a value is a message, and nothing but one. */
export function isMessage(value: unknown): value is Message {
	if (typeof value !== 'object' || value === null || !('code' in value)) return false;
	return (
		typeof value.code === 'string' &&
		Object.keys(value).every((key) => key === 'code' || key === 'params')
	);
}

/** A value as JSON, every message in it with its words beside code and quantities. */
export const withWords = (value: unknown, units: Units, write: Write): Json =>
	JSON.parse(
		JSON.stringify(value, (_, one: unknown) =>
			isMessage(one) ? { ...one, text: write(one, units) } : one
		)
	) as Json;

/**
 * Figures in millimetres, newtons and joules, each message with its words in the
 * given units. Curves, which are functions, and what the rules of fit were asked
 * about are left out.
 */
export function sheetJson(
	sheet: Sheet,
	units: Units,
	write: Write
): { readonly [key: string]: Json } {
	const figures = JSON.parse(
		JSON.stringify(sheet, (key, value: unknown) => (LEFT_OUT.has(key) ? undefined : value))
	) as Record<string, unknown>;
	const file = {
		units: { figures: 'mm, N, N/mm, J, kPa, kg, cc, rpm', sentences: units },
		...figures
	};
	return withWords(file, units, write) as { readonly [key: string]: Json };
}

/** What {@link sheetJson} gave, without the words: what two programs that speak otherwise agree on. */
export const withoutWords = (value: unknown): Json =>
	JSON.parse(
		JSON.stringify(value, (_, one: unknown) => {
			if (typeof one !== 'object' || one === null || !('code' in one) || !('text' in one))
				return one;
			return Object.fromEntries(Object.entries(one).filter(([key]) => key !== 'text'));
		})
	) as Json;
