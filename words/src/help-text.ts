/** What an explanation is made of. */
import type { FigureName } from '@zinc-ledger/core';

/** Figures of the sheet, and what stands in the stack. */
export type HelpTopic = FigureName | 'locator' | 'shims' | 'locks' | 'cushion';

/** Levels of the drawing that goes with an explanation, from the rocker down. */
export type Level =
	| 'rocker'
	| 'tip'
	| 'retainerTop'
	| 'retainer'
	| 'atLift'
	| 'solid'
	| 'seal'
	| 'guide'
	| 'shim'
	| 'locator'
	| 'pocket'
	| 'seat'
	| 'deck'
	| 'piston';
/** A level, or so much below it in the drawing's own units. */
export type Place = Level | readonly [Level, number];

/** What of the stack an explanation marks. */
export type Mark<At = Place> =
	| { readonly type: 'between'; readonly from: At; readonly to: At }
	/** A force that pushes the retainer up, at this level. */
	| { readonly type: 'force'; readonly at: At }
	/** From side to side, at this level: about the stem’s axis, or so far to its right. */
	| { readonly type: 'across'; readonly at: At; readonly width: number; readonly aside: number }
	/** A part of the stack, drawn full. */
	| { readonly type: 'part'; readonly from: At; readonly to: At };

export const between = (from: Place, to: Place): Mark => ({ type: 'between', from, to });
export const part = (from: Place, to: Place): Mark => ({ type: 'part', from, to });
export const force = (at: Place): Mark => ({ type: 'force', at });
export const across = (at: Place, width: number, aside = 0): Mark => ({
	type: 'across',
	at,
	width,
	aside
});

export interface HelpText {
	/** What the drawing marks. */
	readonly mark: Mark;
	/** Where its formula is in docs/trade: the page, and the heading on it. */
	readonly formula: string;
	readonly title: string;
	readonly what: string;
	readonly how: string;
	readonly forgotten: string;
}

export type HelpTexts = Readonly<Record<HelpTopic, HelpText>>;
