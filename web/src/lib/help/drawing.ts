/** Where a quantity lies in the stack, on a drawing that is the same for all: heights in its own units, downwards. */
import { helpOf, type HelpTopic, type Level, type Mark, type Place } from '@zinc-ledger/words/help';

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
} as const satisfies Record<Level, number>;

/** What an explanation marks, by its heights on the drawing. */
export type Drawn = Mark<number>;

const heightOf = (place: Place): number =>
	typeof place === 'string' ? AT[place] : AT[place[0]] + place[1];

/** The mark of a topic where the drawing has it. */
export function markOf(topic: HelpTopic): Drawn {
	const { mark } = helpOf(topic);
	if (mark.type === 'force' || mark.type === 'across') return { ...mark, at: heightOf(mark.at) };
	return { ...mark, from: heightOf(mark.from), to: heightOf(mark.to) };
}

/** Whether what a topic marks is seen at full lift. */
export function isAtLift(topic: HelpTopic): boolean {
	const { mark } = helpOf(topic);
	const begins = mark.type === 'force' || mark.type === 'across' ? mark.at : mark.from;
	return begins === 'atLift' || (typeof begins !== 'string' && begins[0] === 'atLift');
}
