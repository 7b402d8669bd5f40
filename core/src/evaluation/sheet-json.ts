/** A sheet as plain JSON values, for files and for signing. */
import { showPhrase, type Phrase } from '../units/phrase.ts';
import type { Units } from '../units/display.ts';
import type { Sheet } from './sheet.ts';

/** Functions, what the rules of fit were asked about, and what stands under `kinds` already. */
const LEFT_OUT = new Set(['curve', 'line', 'promised', 'fitContexts', 'shared']);
const PHRASES = new Set(['remedy', 'because', 'text', 'compared']);

export type Plain =
	string | number | boolean | null | readonly Plain[] | { readonly [key: string]: Plain };

/**
 * Figures in millimetres, newtons and joules, sentences written out in the
 * given units. Curves, which are functions, and what the rules of fit were
 * asked about are left out.
 */
export function plainSheet(sheet: Sheet, units: Units): { readonly [key: string]: Plain } {
	const file = { units: { figures: 'mm, N, N/mm, J', sentences: units }, ...sheet };
	return JSON.parse(
		JSON.stringify(file, (key, value: unknown) => {
			if (PHRASES.has(key) && Array.isArray(value)) return showPhrase(value as Phrase, units);
			return LEFT_OUT.has(key) ? undefined : value;
		})
	) as { readonly [key: string]: Plain };
}
