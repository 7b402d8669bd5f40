/** Springs of one set beside each other: spread, who is odd, which go together, and what sagged. */
import { median } from '../../foundation/station/index.ts';
import type { Millimetres, Newtons } from '../../foundation/units/index.ts';
import type { Curve } from '../spring/index.ts';
import type { State } from '../../foundation/verdict/index.ts';

/** Parts of a load from which a spring of a set is watched, and from which it is stopped at. */
export interface SetLimits {
	/** Off the set's median. */
	readonly oddWatch: number;
	readonly oddStop: number;
	/** Lost since an earlier test, or against its card. */
	readonly sagWatch: number;
	readonly sagStop: number;
}

/** What stands where a set says nothing of it. Source: docs/trade/springs.md. */
export const USUAL_SET_LIMITS: SetLimits = {
	oddWatch: 0.05,
	oddStop: 0.1,
	sagWatch: 0.05,
	sagStop: 0.1
};

export interface Member {
	readonly tag: string;
	/** Load at the nominal height. */
	readonly seat: Newtons | null;
}

export interface SetFigures {
	readonly median: Newtons | null;
	readonly min: Newtons | null;
	readonly max: Newtons | null;
	/** By tag: how far a spring is from the median, as a part, and what that means. */
	readonly members: ReadonlyMap<string, { readonly off: number; readonly state: State }>;
	/** Pairs whose loads differ least, for the two valves of a cylinder. */
	readonly pairs: readonly (readonly [string, string])[];
}

const stateOf = (part: number, watch: number, stop: number): State =>
	part > stop ? 'stop' : part > watch ? 'watch' : 'clear';

/**
 * What a set comes to; springs that were not tested are left out of it. Source: docs/trade/springs.md.
 *
 * @returns median, least and greatest seat load in N; null where none was tested
 */
export function setFigures(
	set: readonly Member[],
	{ oddWatch, oddStop }: SetLimits = USUAL_SET_LIMITS
): SetFigures {
	const tested = set
		.filter((one): one is Member & { seat: Newtons } => one.seat !== null)
		.toSorted((a, b) => a.seat - b.seat);
	if (tested.length === 0) {
		return { median: null, min: null, max: null, members: new Map(), pairs: [] };
	}
	const medianLoad = median(tested.map(({ seat }) => seat)) as Newtons;
	return {
		median: medianLoad,
		min: tested[0]!.seat,
		max: tested.at(-1)!.seat,
		members: new Map(
			tested.map(({ tag, seat }) => {
				const off = seat / medianLoad - 1;
				return [tag, { off, state: stateOf(Math.abs(off), oddWatch, oddStop) }];
			})
		),
		// Neighbours in order of load: no other pairing leaves less difference in all.
		pairs: Array.from(
			{ length: Math.floor(tested.length / 2) },
			(_, i) => [tested[2 * i]!.tag, tested[2 * i + 1]!.tag] as const
		)
	};
}

export interface Sag {
	/** Part of the load lost at one height. */
	readonly part: number;
	readonly state: State;
}

/** `(F_ref − F_now) / F_ref` at one height; null where either was not tested. */
export function sagAt(
	reference: Curve,
	now: Curve,
	height: Millimetres,
	{ sagWatch, sagStop }: SetLimits = USUAL_SET_LIMITS
): Sag | null {
	const [then, today] = [reference.load(height), now.load(height)];
	if (then === null || today === null || then === 0) return null;
	const part = (then - today) / then;
	return { part, state: stateOf(part, sagWatch, sagStop) };
}
