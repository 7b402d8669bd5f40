/** The lobe of a cam card: from its lift table where it has one, else made up from its durations. */
import { mm, type Millimetres } from '../../foundation/units/index.ts';
import { durationAt, type Lobe } from './lobe.ts';
import { lobesOverRamps, madeUpLobe, type Duration } from './made-up.ts';
import { tableFaults, tableLobe, type TableFault } from './table.ts';
import type { TableLine } from './table-line.ts';

/** What a card gives of one lobe. */
export interface LobeCard {
	readonly lift: Millimetres;
	readonly durations: readonly Duration[];
	readonly table: readonly TableLine[];
	/** Somebody confirmed that its duration, unusual as it is, is right. */
	readonly isDurationConfirmed?: boolean;
}

export type LobeFault = TableFault | 'too-coarse' | 'no-such-lobe' | 'odd-duration';
/**
 * Durations in use at 0.050 in of lobe lift, in degrees of the crankshaft: 80° to 168° of the cam.
 * A lobe outside them may be one whose degrees were taken for the other shaft's.
 */
export const DURATIONS_IN_USE = { min: 160, max: 336 } as const;
/** The lift at the lobe that they are told at: 0.050 in. */
const TOLD_AT = mm(1.27);

/** Whether a lobe's duration at 0.050 in is one that no cam in use has. */
export function hasOddDuration(lobe: Lobe): boolean {
	const duration = durationAt(lobe, TOLD_AT);
	return duration < DURATIONS_IN_USE.min || duration > DURATIONS_IN_USE.max;
}
/** A lobe, or why there is none. */
export type LobeFound =
	| { readonly lobe: Lobe; readonly fault: null }
	| { readonly lobe: null; readonly fault: LobeFault };

/** Lobes that were drawn, by their cards: one is asked for on every keystroke. */
const drawn = new Map<string, LobeFound>();
const MAX_DRAWN = 64;

/**
 * The lobe of a card, drawn once.
 *
 * @returns null for a card with neither a table nor a duration at a stated lift: it says nothing of its lobe's shape
 */
export function lobeOfCard(card: LobeCard): LobeFound | null {
	if (card.table.length === 0 && card.durations.length === 0) return null;
	const key = JSON.stringify(card);
	const before = drawn.get(key);
	if (before) return before;
	const found = asked(card.table.length > 0 ? fromTable(card.table) : fromDurations(card), card);
	if (drawn.size >= MAX_DRAWN) drawn.clear();
	drawn.set(key, found);
	return found;
}

/** A lobe of an odd duration is no lobe until somebody has confirmed it. */
function asked(found: LobeFound, { isDurationConfirmed }: LobeCard): LobeFound {
	const isOdd = found.lobe && !isDurationConfirmed && hasOddDuration(found.lobe);
	return isOdd ? { lobe: null, fault: 'odd-duration' } : found;
}

function fromTable(table: readonly TableLine[]): LobeFound {
	const [fault] = tableFaults(table);
	if (fault) return { lobe: null, fault };
	const lobe = tableLobe(table);
	return lobe.isTooCoarse ? { lobe: null, fault: 'too-coarse' } : { lobe, fault: null };
}

function fromDurations({ lift, durations }: LobeCard): LobeFound {
	const [first, second] = durations;
	const known = second ? ([first!, second] as const) : ([first!] as const);
	let others: readonly Lobe[] | null = null;
	try {
		const lobe = madeUpLobe({ lift, durations: known });
		const mayBe = () => (others ??= lobesOverRamps(lift, known));
		return { lobe: { ...lobe, mayBe }, fault: null };
	} catch (problem) {
		if (!(problem instanceof RangeError)) throw problem;
		return { lobe: null, fault: 'no-such-lobe' };
	}
}
