/**
 * A sentence with quantities in it, kept apart from the units it will be read
 * in: the core says "{0.045 in} taller than its neighbours" once, and every
 * person reads it in their own units.
 */
import { showLength, showLoad, showMass, type Units } from './display.ts';
import type { Kilograms, Millimetres, Newtons } from './quantity.ts';

export type Measure =
	{ readonly length: Millimetres } | { readonly load: Newtons } | { readonly mass: Kilograms };
export type Phrase = readonly (string | Measure)[];

export const ofLength = (length: Millimetres): Measure => ({ length });
export const ofLoad = (load: Newtons): Measure => ({ load });
export const ofMass = (mass: Kilograms): Measure => ({ mass });

/**
 * Builds a phrase from a template whose holes are texts, measures or phrases.
 *
 * @example say`Shim ${ofLength(mm(0.762))}` // ['Shim ', { length: 0.762 }]
 */
export function say(
	texts: TemplateStringsArray,
	...holes: readonly (string | number | Measure | Phrase)[]
): Phrase {
	const parts: (string | Measure)[] = [];
	const add = (part: string | Measure) => {
		if (part !== '') parts.push(part);
	};
	texts.forEach((text, i) => {
		add(text);
		const hole = holes[i];
		if (hole === undefined) return;
		if (typeof hole === 'number') add(String(hole));
		else if (Array.isArray(hole)) (hole as Phrase).forEach(add);
		else add(hole as string | Measure);
	});
	return parts;
}

/** Phrases with a separator between them. */
export function joined(phrases: readonly Phrase[], separator: string): Phrase {
	return phrases.flatMap((phrase, i) => (i === 0 ? phrase : [separator, ...phrase]));
}

/** The phrase as text in a person's units. Lengths go bare, as they are spoken at the bench; loads and masses name their unit. */
export function showPhrase(phrase: Phrase, units: Units): string {
	return phrase
		.map((part) => {
			if (typeof part === 'string') return part;
			if ('length' in part) return showLength(part.length, units);
			return 'load' in part
				? `${showLoad(part.load, units)} ${units.load}`
				: `${showMass(part.mass)} g`;
		})
		.join('');
}
