/**
 * A sentence with quantities in it, kept apart from the units it will be read
 * in: the catalogue says "{1.143 mm} taller" once, and every person reads it in
 * their own units.
 */
import {
	showLength,
	showLoad,
	showMass,
	showSpeed,
	showVolume,
	type CubicCentimetres,
	type Kilograms,
	type Millimetres,
	type Newtons,
	type RevolutionsPerMinute,
	type Units
} from '@zinc-ledger/core';

export type Measure =
	{ readonly length: Millimetres } | { readonly load: Newtons } | { readonly mass: Kilograms };
export type Phrase = readonly (string | Measure)[];

export const length = (of: Millimetres): Measure => ({ length: of });
export const load = (of: Newtons): Measure => ({ load: of });
export const volume = (of: CubicCentimetres): string => `${showVolume(of)} cc`;
export const mass = (of: Kilograms): Measure => ({ mass: of });

export const speed = (of: number): string => `${showSpeed(of as RevolutionsPerMinute)} rpm`;

/** The text with a capital first letter. */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** Part of a whole as a whole per cent: "12 %". */
export const percent = (part: number): string => `${(100 * part).toFixed(0)} %`;

const PERCENT = new Intl.NumberFormat('en', {
	style: 'percent',
	minimumFractionDigits: 1,
	maximumFractionDigits: 1,
	signDisplay: 'exceptZero'
});

/** A part of a whole as more or less than it: "+2.4 %", "−12.6 %", "0.0 %". */
export const byPercent = (part: number) =>
	PERCENT.format(part).replace('-', '−').replace('%', ' %');

/**
 * Builds a phrase from a template whose holes are texts, measures or phrases.
 *
 * @example say`Fit ${length(mm(0.762))}` // ['Fit ', { length: 0.762 }]
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
export function joined(phrases: readonly (string | Phrase)[], separator: string): Phrase {
	return phrases.flatMap((phrase, i): Phrase => {
		const own = typeof phrase === 'string' ? [phrase] : phrase;
		return i === 0 ? own : [separator, ...own];
	});
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
