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
	/** An unusual duration at 0.050 in that somebody confirmed, in degrees of the crankshaft. */
	readonly confirmedDuration?: number | undefined;
}

export type LobeFault = TableFault | 'too-coarse' | 'no-such-lobe' | 'odd-duration';
/**
 * Durations in use at 0.050 in of lobe lift, in degrees of the crankshaft: 80° to 168° of the cam.
 * A lobe outside them may be one whose degrees were taken for the other shaft's.
 */
export const DURATIONS_IN_USE = { min: 160, max: 336 } as const;
/** The lift at the lobe that they are told at: 0.050 in. */
const TOLD_AT = mm(1.27);

/** A confirmation holds for the duration that was confirmed, give or take these degrees, and for no other. */
const CONFIRMED_WITHIN = 2;

/**
 * Returns a lobe's duration at 0.050 in where no cam in use has one like it and nobody confirmed it.
 *
 * @param confirmed the duration that somebody confirmed
 * @returns degrees of the crankshaft; null where there is nothing to ask
 */
export function oddDuration(lobe: Lobe, confirmed?: number): number | null {
	const duration = durationAt(lobe, TOLD_AT);
	const isInUse = duration >= DURATIONS_IN_USE.min && duration <= DURATIONS_IN_USE.max;
	const isConfirmed = confirmed !== undefined && Math.abs(duration - confirmed) <= CONFIRMED_WITHIN;
	return isInUse || isConfirmed ? null : duration;
}

/** A lobe, or why there is none; with the duration that is asked about, where it is that. */
export type LobeFound =
	| { readonly lobe: Lobe; readonly fault: null }
	| { readonly lobe: null; readonly fault: LobeFault; readonly duration?: number };

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
	const found = askedAbout(
		card.table.length > 0 ? fromTable(card.table) : fromDurations(card),
		card
	);
	if (drawn.size >= MAX_DRAWN) drawn.clear();
	drawn.set(key, found);
	return found;
}

/** An unusual duration leaves the lobe unknown until somebody confirms it. */
function askedAbout(found: LobeFound, { confirmedDuration }: LobeCard): LobeFound {
	const duration = found.lobe && oddDuration(found.lobe, confirmedDuration);
	return duration === null ? found : { lobe: null, fault: 'odd-duration', duration };
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
