/**
 * Messages in the problems that a schema finds. Zod carries a text with every
 * issue; ours is a message written as one, and what Zod says on its own is told
 * by the code of its issue.
 */
import type { z } from 'zod';
import { message, type Message } from './message.ts';

/** What schemas say; their own table, since the types of the rest come from the schemas. */
export interface FieldMessages {
	'field.missing': null;
	'operator.name': null;
	'operator.initials': null;
	'job.number-missing': null;
	'job.customer-missing': null;
	'job.engine-missing': null;
	'set.name-missing': null;
	'set.count-missing': null;
	'set.pair': null;
	'field.type': { readonly expected: string };
	'field.unknown-keys': { readonly keys: readonly string[] };
	'field.one-of': { readonly values: readonly string[] };
	'field.min': { readonly min: number; readonly unit?: FieldUnit };
	'field.max': { readonly max: number; readonly unit?: FieldUnit };
	'field.invalid': null;
	'field.whole-number': null;
	'file.other-format': { readonly what: FileOf; readonly format: string };
	'file.other-version': { readonly reads: number };
	'field.number': { readonly example: string };
	'field.required': null;
	'field.negative': null;
	'field.not-positive': null;
	'field.duplicate': { readonly what: 'station' | 'reading' | 'part' | 'kit' | 'height' };
}

declare module './message.ts' {
	// eslint-disable-next-line @typescript-eslint/no-empty-object-type
	interface Messages extends FieldMessages {}
}

/** A kind of file, by what it holds. */
export type FileOf = 'job' | 'parts' | 'kits' | 'sweep' | 'signed-sheet';

/** What is counted where a number is too small or too large. */
export type FieldUnit =
	| '°'
	| 's'
	| 'rpm'
	| 'h'
	| 'km'
	| 'runs'
	| 'times'
	| 'N/mm'
	| 'characters'
	| 'shims'
	| 'sizes'
	| 'landings'
	| 'parts'
	| 'kits'
	| 'points';

const MARK = '§';

/** A message as the text of an issue. */
export function issue<C extends keyof FieldMessages>(
	code: C,
	...[params]: FieldMessages[C] extends null ? [] : [FieldMessages[C]]
): string {
	return `${MARK}${code} ${JSON.stringify(params ?? null)}`;
}

/** The message that a text of {@link issue} was written from; null for any other text. */
export function messageIn(text: string): Message | null {
	const [, code, params] = /^§([a-z0-9.-]+) ([\s\S]*)$/.exec(text) ?? [];
	if (code === undefined || params === undefined) return null;
	const value: unknown = JSON.parse(params);
	return (value === null ? { code } : { code, params: value }) as Message;
}

/** Of keys that nobody knows, so many are named, each by its beginning. */
const MAX_KEYS = 10;
const LONGEST_KEY = 60;

/** What an issue of a schema says. */
export function messageOf(found: z.core.$ZodIssue): Message {
	const own = messageIn(found.message);
	if (own) return own;
	switch (found.code) {
		case 'invalid_type':
			return found.input === undefined && !found.message.includes('received')
				? message('field.missing')
				: message('field.type', { expected: found.expected });
		case 'unrecognized_keys':
			// A million of them are not told back.
			return message('field.unknown-keys', {
				keys: found.keys.slice(0, MAX_KEYS).map((key) => key.slice(0, LONGEST_KEY))
			});
		case 'invalid_value':
			return message('field.one-of', { values: found.values.map(String) });
		case 'too_small':
			return message('field.min', { min: Number(found.minimum) });
		case 'too_big':
			return message('field.max', { max: Number(found.maximum) });
		default:
			return message('field.invalid');
	}
}
