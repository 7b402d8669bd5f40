/**
 * The words of the program: what a code says, and what a value is called. Screens,
 * paper, PDF, CSV and the command line all ask here; a language is a folder.
 */
import {
	messageIn,
	PART_TYPES,
	type Cause,
	type Code,
	type Message,
	type PartType,
	type Problem,
	type RuleId,
	type Units
} from '@zinc-ledger/core';
import type { Text } from './catalogue.ts';
import { en } from './en/index.ts';
import type { Labels } from './labels.ts';
import { showPhrase, type Phrase } from './phrase.ts';

export type { Labels, Token } from './labels.ts';
export * from './phrase.ts';
export type { AuditedAct, PasswordStrength, ShopRole } from './server-messages.ts';

const language = en;

const asPhrase = (text: Text): Phrase => (typeof text === 'string' ? [text] : text);

/** What a message says, quantities apart from the units they will be read in. */
export function phraseOf(message: Message): Phrase {
	const sentence = language.sentences[message.code] as
		Text | ((params: unknown, say: (inner: Message) => Phrase) => Text) | undefined;
	if (sentence === undefined) return [message.code];
	if (typeof sentence !== 'function') return asPhrase(sentence);
	return asPhrase(sentence('params' in message ? message.params : undefined, phraseOf));
}

/** A message in a person's units; nothing for none. */
export const write = (message: Message | null | undefined, units: Units): string =>
	message ? showPhrase(phraseOf(message), units) : '';

/** Units for what has no quantities in it. */
const ANY_UNITS: Units = { length: 'mm', load: 'N' };

/** A message without quantities: an error, a problem of a file. */
export const tell = (message: Message): string => write(message, ANY_UNITS);

/** What a value is called: label('quantity', 'seal-gap') is "seal gap". */
export const label = <D extends keyof Labels>(of: D, value: keyof Labels[D]): string =>
	language.labels[of][value] as string;

/** The types of values that have names. */
export const labelDomains = Object.keys(language.labels) as (keyof Labels)[];

/** What the values of one type are called, for lists to choose from. */
export const labelsOf = (of: keyof Labels): Readonly<Record<string, string>> => language.labels[of];

export const ruleWords = (rule: RuleId) => language.rules[rule];
/** What to do about a cause, what to measure again, and what to tell the customer. */
export const causeWords = (cause: Cause) => language.causes[cause];

/** The types of parts that are called so, or something that begins so; "keep" finds locks. */
export function partsCalled(word: string): PartType[] {
	const typed = word.toLowerCase();
	if (typed.length < MIN_LETTERS) return [];
	const isSo = (name: string) =>
		name.toLowerCase().startsWith(typed) || name.toLowerCase().split(' ').includes(typed);
	return PART_TYPES.filter((type) => [label('part', type), ...language.alsoSaid[type]].some(isSo));
}
/** Of fewer letters too much begins so. */
const MIN_LETTERS = 3;

/** Every code that the language has words for. */
export const CODES = Object.keys(language.sentences) as Code[];

/** What is wrong with a field, as text: a message, or one that a schema wrote, or text already. */
export function fieldText(problem: string | Message | null | undefined): string | undefined {
	if (problem === null || problem === undefined) return undefined;
	if (typeof problem !== 'string') return tell(problem);
	const says = messageIn(problem);
	return says ? tell(says) : problem;
}

/** "readings[3].read: Must be a length …": a problem of a file on one line. */
export function problemText({ path, line, text }: Problem): string {
	const place = line === undefined ? path || 'the file' : `line ${line}`;
	return `${place}: ${tell(text)}`;
}
