/**
 * What a language must say: a sentence for every code, a name for every value
 * that is shown. A missing or a superfluous one does not compile.
 */
// Rooms that have doors of their own say things too.
import type {} from '@zinc-ledger/core/planner';
import type {} from '@zinc-ledger/core/signed';
import type { Cause, Code, Message, Messages, PartType, RuleId } from '@zinc-ledger/core';
import type { Labels } from './labels.ts';
import type { Phrase } from './phrase.ts';

export type Text = string | Phrase;

/** Says a message that stands within another. */
export type Say = (message: Message) => Phrase;

export type Sentences = {
	readonly [C in Code]: Messages[C] extends null
		? Text
		: Text | ((params: Messages[C], say: Say) => Text);
};

/** A rule of fit: what it is called, and why it matters. */
export interface RuleWords {
	readonly title: string;
	readonly why: string;
}

/** A cause of a complaint: what to do, what to measure again afterward, and what to tell the customer. */
export interface CauseWords {
	readonly remedy: string;
	readonly again: string;
	readonly customer: string;
}

export interface Language {
	readonly sentences: Sentences;
	readonly labels: Labels;
	readonly rules: Readonly<Record<RuleId, RuleWords>>;
	/** What to do about each cause of a complaint. */
	readonly causes: Readonly<Record<Cause, CauseWords>>;
	/** What else parts are called. */
	readonly alsoSaid: Readonly<Record<PartType, readonly string[]>>;
}
