/** What a rule of fit found, and where. */
import type { Phrase } from '../units/phrase.ts';
import type { Kind } from '../station/layout.ts';
import type { Acceptance } from '../document/schema.ts';
import type { FitContext, Severity } from './rule.ts';

export interface Finding {
	/** F1 to F28. */
	readonly rule: string;
	readonly title: string;
	readonly why: string;
	readonly severity: Severity;
	readonly outcome: 'trips' | 'passes' | 'missing';
	readonly kind: Kind;
	/** Stations it concerns, where they have parts of their own; empty for the whole kind. */
	readonly stations: readonly string[];
	/** The figures compared; empty when some are missing. */
	readonly compared: Phrase;
	readonly missing: readonly string[];
	/** Names rule, place and figures: an acceptance holds only while these stay as they were. */
	readonly key: string;
	readonly acceptance: Acceptance | null;
}

/** Parts that stand at several stations alike. */
export interface FitGroup {
	readonly context: FitContext;
	readonly stations: readonly string[];
}
