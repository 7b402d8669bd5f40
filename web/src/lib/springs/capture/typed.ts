/** Points of a sweep as they are typed or pasted: one a line, dial and load; or the load alone where the dial is due. */
import {
	lengthText,
	mm,
	readEntry,
	readLoadEntry,
	type Message,
	type Millimetres,
	type Units
} from '@zinc-ledger/core';

export interface TypedPoint {
	/** As a length text and a load text, in the units they were typed in. */
	readonly dial: string;
	readonly load: string;
}

export type TypedPointsRead =
	| { readonly ok: true; readonly points: readonly TypedPoint[] }
	/** Nothing is taken where a line is wrong. */
	| { readonly ok: false; readonly line: number; readonly problem: Message };

/** Dials that are due one after another: down by the step, never past a stop without one there. */
export interface Due {
	readonly first: Millimetres;
	readonly step: Millimetres;
	/** Seat and full lift, tallest first. */
	readonly stops: readonly Millimetres[];
}

/** A dial within so many millimetres of a stop is there. */
const SAME = 0.01;

/**
 * The dial that is due.
 *
 * @param last the dial that was read last; null before the first
 */
export function nextDial({ first, step, stops }: Due, last: Millimetres | null): Millimetres {
	if (last === null) return first;
	const next = mm(last - step);
	return stops.find((stop) => last > stop + SAME && next < stop) ?? next;
}

const FIGURE = String.raw`[\d.,]+\s*[a-zµ"″'#]*`;
const LINE = new RegExp(`^(${FIGURE})(?:[\\s;|]+(${FIGURE}))?$`, 'i');

/**
 * Reads lines of points.
 *
 * @param due the dials to come, where they are known; without them each line says its own
 */
export function readTypedPoints(
	text: string,
	units: Units,
	due: Due | null,
	last: Millimetres | null
): TypedPointsRead {
	const points: TypedPoint[] = [];
	let at = last;
	for (const [i, line] of text.split('\n').entries()) {
		const typed = line.trim();
		if (typed === '') continue;
		const [, first = typed, second] = LINE.exec(typed) ?? [];
		const dial = dialOf(second === undefined ? null : first, units, due, at);
		const load = readLoadEntry(second ?? first, units.load);
		const wrong = dial.ok ? load : dial;
		if (!wrong.ok) return { ok: false, line: i + 1, problem: wrong.problem };
		if (!dial.ok || !load.ok) continue;
		points.push({ dial: dial.text, load: load.text });
		at = dial.length;
	}
	return { ok: true, points };
}

function dialOf(typed: string | null, units: Units, due: Due | null, last: Millimetres | null) {
	if (typed !== null || !due) return readEntry(typed ?? '', units.length);
	return readEntry(lengthText(nextDial(due, last), units.length), units.length);
}
