/** What an explanation is made of. */
import type { FigureName } from '@zinc-ledger/core';

/** Figures of the sheet, and what stands in the stack. */
export type HelpTopic = FigureName | 'locator' | 'shims' | 'locks' | 'cushion';

export interface HelpText {
	readonly title: string;
	readonly what: string;
	readonly how: string;
	readonly forgotten: string;
}

export type HelpTexts = Readonly<Record<HelpTopic, HelpText>>;
