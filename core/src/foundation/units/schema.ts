/** Zod schemas of the texts that quantities are at the edges, with messages for whoever typed them. */
import { z } from 'zod';
import { issue } from '../message/index.ts';
import {
	INERTIA_TEXT,
	LENGTH_TEXT,
	LOAD_TEXT,
	MASS_TEXT,
	PRESSURE_TEXT,
	RATE_TEXT,
	VACUUM_TEXT,
	VOLUME_TEXT
} from './quantity.ts';

declare module '../message/issue.ts' {
	interface FieldMessages {
		'field.quantity': { readonly of: QuantityText };
		'field.not-quantity': { readonly of: QuantityText; readonly read: string };
		'field.two-meanings': { readonly meanings: readonly string[] };
		'field.id': null;
		'field.moment': null;
		'field.date': null;
	}
}

/** What a text must be a quantity of. */
export type QuantityText =
	| 'length'
	| 'load'
	| 'length-or-load'
	| 'measured'
	| 'rate'
	| 'mass'
	| 'volume'
	| 'vacuum'
	| 'pressure'
	| 'inertia';

const quantity = (pattern: RegExp, of: QuantityText) =>
	z.string({ error: issue('field.quantity', { of }) }).regex(pattern, {
		abort: true,
		error: ({ input }) =>
			twoMeanings(input) ?? issue('field.not-quantity', { of, read: clip(input) })
	});

/** "1,234" has two meanings, and which of them is for the person to say. */
function twoMeanings(input: unknown): string | undefined {
	const [, whole, rest] = /^(\d{1,3}),(\d{3})(?!\d)/.exec(String(input)) ?? [];
	return (
		whole && issue('field.two-meanings', { meanings: [`${whole}${rest}`, `${whole}.${rest}`] })
	);
}
const clip = (input: unknown) => String(input).slice(0, 40);
const aboveZero = (text: string) => Number.parseFloat(text) > 0;

export const Length = quantity(LENGTH_TEXT, 'length');
/** A length that cannot be negative: a height, a thickness, a gap. */
export const Size = Length.refine((text) => !text.startsWith('-'), issue('field.negative'));
export const PositiveSize = Size.refine(aboveZero, issue('field.not-positive'));
export const Load = quantity(LOAD_TEXT, 'load');
/** What a gauge reads: a length, a load or a volume, never negative. */
export const Measured = quantity(
	new RegExp(`${LENGTH_TEXT.source}|${LOAD_TEXT.source}|${VOLUME_TEXT.source}`),
	'measured'
).refine((text) => !text.startsWith('-'), issue('field.negative'));
export const Rate = quantity(RATE_TEXT, 'rate').refine(aboveZero, issue('field.not-positive'));
export const Mass = quantity(MASS_TEXT, 'mass').refine(aboveZero, issue('field.not-positive'));
export const Volume = quantity(VOLUME_TEXT, 'volume');
export const Pressure = quantity(PRESSURE_TEXT, 'pressure').refine(
	aboveZero,
	issue('field.not-positive')
);
export const Vacuum = quantity(VACUUM_TEXT, 'vacuum');
export const Inertia = quantity(INERTIA_TEXT, 'inertia');

export const Line = z
	.string()
	.trim()
	.max(200, issue('field.max', { max: 200, unit: 'characters' }));
export const Name = Line.min(1, issue('field.required'));
export const Id = z.uuid(issue('field.id'));
export const Moment = z.iso.datetime({
	offset: true,
	error: issue('field.moment')
});
