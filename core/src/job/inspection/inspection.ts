/** What is looked for on a valve before it goes back in (docs/trade/assembly.md, step 3). */
import { message, type Message } from '../../foundation/message/index.ts';
import type { State } from '../../foundation/verdict/index.ts';

export const TIPS_SEEN = ['good', 'ground', 'worn', 'burred', 'battered'] as const;
export const GROOVES_SEEN = ['good', 'worn', 'burred'] as const;
export const STEMS_SEEN = ['good', 'worn', 'scored', 'bent'] as const;
/** Where the seat touches the valve's face. */
export const CONTACTS = ['middle', 'near-margin', 'near-stem'] as const;
export const SEAT_MARKS = ['even', 'narrow', 'wide', 'uneven', 'pitted'] as const;

/** What sat on the guides when a head came apart. */
export const SEALS_FOUND = ['none', 'positive', 'umbrella', 'o-ring'] as const;

export interface ValveInspection {
	readonly condition: 'new' | 'reused';
	readonly tip: (typeof TIPS_SEEN)[number];
	readonly groove: (typeof GROOVES_SEEN)[number];
	readonly stem: (typeof STEMS_SEEN)[number];
	readonly seatMark: (typeof SEAT_MARKS)[number];
	readonly contact?: (typeof CONTACTS)[number] | undefined;
}

/** What is not as it should be, place by place; which of it stops the valve. */
const FINDINGS = {
	'tip.ground': 'watch',
	'tip.worn': 'watch',
	'tip.burred': 'watch',
	'tip.battered': 'stop',
	'groove.worn': 'stop',
	'groove.burred': 'watch',
	'stem.worn': 'watch',
	'stem.scored': 'watch',
	'stem.bent': 'stop',
	'seatMark.narrow': 'watch',
	'seatMark.wide': 'watch',
	'seatMark.uneven': 'watch',
	'seatMark.pitted': 'watch',
	'contact.near-margin': 'watch',
	'contact.near-stem': 'watch'
} as const satisfies Record<string, State>;
type Mark = keyof typeof FINDINGS;
type Marks = { readonly [M in Mark as `inspection.${M}`]: null };

declare module '../../foundation/message/message.ts' {
	interface Messages extends Marks {
		'found.too-many-shims': { readonly max: number };
	}
}

export interface InspectionFinding {
	readonly state: State;
	readonly text: Message;
}

/**
 * What is to be said of a valve as it was seen; an empty list when all is good.
 *
 * @example inspectionFindings({ condition: 'reused', tip: 'battered', … })[0].state // 'stop'
 */
export function inspectionFindings(valve: ValveInspection): readonly InspectionFinding[] {
	return (['tip', 'groove', 'stem', 'seatMark', 'contact'] as const).flatMap(
		(place): InspectionFinding[] => {
			const mark = `${place}.${valve[place]}`;
			if (!(mark in FINDINGS)) return [];
			return [{ state: FINDINGS[mark as Mark], text: message(`inspection.${mark as Mark}`) }];
		}
	);
}
