/** Where a quantity lies in the stack, on a drawing that is the same for all: heights in its own units, downwards. */
import type { HelpTopic } from '@zinc-ledger/words/help';

/** Levels of the drawing. */
export const AT = {
	rocker: 22,
	tip: 30,
	retainerTop: 62,
	retainer: 74,
	/** Underside of the retainer, and its landing, at full lift. */
	atLift: 112,
	solid: 128,
	seal: 136,
	guide: 170,
	shim: 184,
	locator: 190,
	pocket: 198,
	seat: 232,
	deck: 242,
	piston: 248
} as const;

export type Mark =
	| { readonly type: 'between'; readonly from: number; readonly to: number }
	/** A force that pushes the retainer up, at this level. */
	| { readonly type: 'force'; readonly at: number }
	/** From side to side, at this level: about the stem’s axis, or so far to its right. */
	| {
			readonly type: 'across';
			readonly at: number;
			readonly width: number;
			readonly aside: number;
	  }
	/** A part of the stack, drawn full. */
	| { readonly type: 'part'; readonly from: number; readonly to: number };

const across = (at: number, width: number, aside = 0): Mark => ({
	type: 'across',
	at,
	width,
	aside
});
const between = (from: number, to: number): Mark => ({ type: 'between', from, to });
const part = (from: number, to: number): Mark => ({ type: 'part', from, to });

export const MARKS: Readonly<Record<HelpTopic, Mark>> = {
	height: between(AT.retainer, AT.shim),
	bare: between(AT.retainer, AT.pocket),
	built: between(AT.retainer, AT.shim),
	seatLoad: { type: 'force', at: AT.retainer },
	headLoad: { type: 'force', at: AT.retainer },
	loss: { type: 'force', at: AT.retainer },
	netSeatLoad: { type: 'force', at: AT.seat },
	controlLimit: { type: 'force', at: AT.atLift },
	openLoad: { type: 'force', at: AT.atLift },
	bindMargin: between(AT.atLift, AT.solid),
	cushion: between(AT.atLift, AT.solid),
	sealClearance: between(AT.atLift + 8, AT.seal),
	tipHeight: between(AT.tip, AT.retainerTop),
	rocker: between(AT.rocker, AT.retainerTop),
	lash: between(AT.rocker, AT.tip),
	preload: between(AT.rocker, AT.tip),
	piston: between(AT.seat, AT.piston),
	vacuum: part(AT.seat - 8, AT.seat),
	locator: part(AT.locator, AT.pocket),
	shims: part(AT.shim, AT.locator),
	locks: part(AT.retainerTop - 2, AT.retainer),
	valveLength: between(AT.tip, AT.seat),
	tipLength: between(AT.tip, AT.retainerTop),
	stemDiameter: across(AT.guide, 10),
	stemClearance: across(AT.guide, 14),
	// The ring alone, on one side of the face.
	seatWidth: across(AT.seat - 6, 10, 24),
	seatRunOut: across(AT.seat - 3, 60),
	valveMargin: between(AT.seat - 4, AT.seat),
	stemHeight: between(AT.tip, AT.pocket),
	headBelowDeck: between(AT.seat, AT.deck),
	valveLift: between(AT.retainer, AT.atLift),
	chamberVolume: part(AT.seat, AT.deck)
};

/** Whether what is marked is seen at full lift. */
export const isAtLift = (mark: Mark): boolean =>
	('from' in mark && (mark.from === AT.atLift || mark.from === AT.atLift + 8)) ||
	(mark.type === 'force' && mark.at === AT.atLift);
