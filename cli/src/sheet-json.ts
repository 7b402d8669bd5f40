import { showPhrase, type Phrase, type Sheet, type Units } from '@zinc-ledger/core';

/** Functions, what the rules of fit were asked about, and what stands under `kinds` already. */
const LEFT_OUT = new Set(['curve', 'fitContexts', 'shared']);
const PHRASES = new Set(['remedy', 'because', 'text', 'compared']);

/**
 * A sheet as JSON: figures in millimetres, newtons and joules, sentences
 * written out in the given units. Curves, which are functions, and what
 * the rules of fit were asked about are left out.
 */
export function sheetJson(sheet: Sheet, units: Units): string {
	const file = { units: { figures: 'mm, N, N/mm, J', sentences: units }, ...sheet };
	const json = JSON.stringify(
		file,
		(key, value: unknown) => {
			if (PHRASES.has(key)) return showPhrase(value as Phrase, units);
			return LEFT_OUT.has(key) ? undefined : value;
		},
		2
	);
	return `${json}\n`;
}
