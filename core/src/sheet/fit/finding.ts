/** What a rule of fit found, and where. */
import type { Message, Need } from '../../foundation/message/index.ts';
import type { Kind } from '../../foundation/station/index.ts';
import type { Acceptance } from '../../job/document/index.ts';
import type { FitContext, Severity } from './rule.ts';
import type { RuleId } from './rules/index.ts';

export interface Finding {
	readonly rule: RuleId;
	readonly severity: Severity;
	readonly outcome: 'fails' | 'passes' | 'missing';
	readonly kind: Kind;
	/** Stations it concerns, where they have parts of their own; empty for the whole kind. */
	readonly stations: readonly string[];
	/** The figures compared; null when some are missing. */
	readonly compared: Message | null;
	readonly missing: readonly Need[];
	/** Names rule, place and figures: an acceptance holds only while these stay as they were. */
	readonly key: string;
	readonly acceptance: Acceptance | null;
}

/** Parts that stand at several stations alike. */
export interface FitGroup {
	readonly context: FitContext;
	readonly stations: readonly string[];
}
