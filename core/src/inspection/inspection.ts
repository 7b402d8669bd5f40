/** What is looked for on a valve before it goes back in (handbook §9, step 3). */
import type { State } from '../verdict/verdict.ts';

export const TIPS_SEEN = ['good', 'ground', 'worn', 'burred', 'battered'] as const;
export const GROOVES_SEEN = ['good', 'worn', 'burred'] as const;
export const STEMS_SEEN = ['good', 'worn', 'scored', 'bent'] as const;
export const SEAT_MARKS = ['even', 'narrow', 'wide', 'uneven', 'pitted'] as const;

export interface ValveSeen {
	readonly condition: 'new' | 'reused';
	readonly tip: (typeof TIPS_SEEN)[number];
	readonly groove: (typeof GROOVES_SEEN)[number];
	readonly stem: (typeof STEMS_SEEN)[number];
	readonly seatMark: (typeof SEAT_MARKS)[number];
}

const STOPS: ReadonlySet<string> = new Set(['tip battered', 'groove worn', 'stem bent']);
const FINE: ReadonlySet<string> = new Set([
	'tip good',
	'groove good',
	'stem good',
	'seatMark even'
]);

const SAID: Readonly<Record<string, string>> = {
	'tip ground': 'Tip was ground: its length is shorter, read the tip height',
	'tip worn': 'Tip is worn: dress or replace',
	'tip burred': 'Tip is burred: dress it before it goes through the seal',
	'tip battered': 'Tip is battered, as by float: replace the valve, look at spring and rocker',
	'groove worn': 'Lock groove is worn: the locks will not hold. Replace the valve',
	'groove burred': 'Lock groove is burred: dress it, or it cuts the seal',
	'stem worn': 'Stem is worn: measure it against the guide',
	'stem scored': 'Stem is scored: it wears seal and guide',
	'stem bent': 'Stem is bent: replace the valve',
	'seatMark narrow': 'Seat mark is narrow: heat leaves the valve slowly',
	'seatMark wide': 'Seat mark is wide: it seals badly',
	'seatMark uneven': 'Seat mark is uneven: look at guide and seat',
	'seatMark pitted': 'Seat is pitted: it will leak'
};

export interface Seen {
	readonly state: State;
	readonly text: string;
}

/**
 * What is to be said of a valve as it was seen; an empty list when all is good.
 *
 * @example seenOn({ condition: 'reused', tip: 'battered', … })[0].state // 'stop'
 */
export function seenOn(valve: ValveSeen): readonly Seen[] {
	return (['tip', 'groove', 'stem', 'seatMark'] as const).flatMap((place): Seen[] => {
		const mark = `${place} ${valve[place]}`;
		if (FINE.has(mark)) return [];
		return [{ state: STOPS.has(mark) ? 'stop' : 'watch', text: SAID[mark]! }];
	});
}
