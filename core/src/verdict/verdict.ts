/**
 * A verdict is what a figure means: the figure, the limit that decided, how
 * far apart the two are, where the inputs came from, and what would change it
 * (handbook §12). Nothing is ever clear because data is missing.
 */
import {
	toComparisonStep,
	type COMPARISON_STEP,
	type Millimetres,
	type Newtons
} from '../units/quantity.ts';
import type { Phrase } from '../units/phrase.ts';

export type State = 'clear' | 'not measured' | 'watch' | 'too close' | 'stop';

/** Where a figure came from. A told or remembered figure never makes a verdict clear on its own. */
export const SOURCES = ['measured', 'tested', 'card', 'sheet', 'told', 'memory'] as const;
export type Source = (typeof SOURCES)[number];
const UNCONFIRMED: ReadonlySet<Source> = new Set(['told', 'memory']);

export interface Limit<Q extends number = number> {
	/** What the limit is called on screen: "bind floor". */
	readonly name: string;
	readonly side: 'floor' | 'ceiling';
	readonly at: Q;
	readonly severity: 'watch' | 'stop';
}

export interface Verdict<Q extends number = number> {
	readonly state: State;
	/** The figure judged, in SI units; null when it is not known. */
	readonly figure: Q | null;
	/** All limits it was held against. */
	readonly limits: readonly Limit<Q>[];
	/** The limit that decided: the worst one passed, else the nearest one. */
	readonly limit: Limit<Q> | null;
	/** How far inside the limit the figure is; negative when beyond it. */
	readonly difference: Q | null;
	/** 95 % uncertainty of the figure, 0 where it is not known. */
	readonly uncertainty: Q;
	/** What the gauge it was read with resolves, where one was. */
	readonly resolution?: Q;
	readonly sources: readonly Source[];
	/** What is the matter and what would change it; empty when clear. */
	readonly remedy: Phrase;
}

/** A verdict on a figure that is not there, saying what is missing. */
export function notMeasured<Q extends number>(missing: Phrase): Verdict<Q> {
	return {
		state: 'not measured',
		figure: null,
		limits: [],
		limit: null,
		difference: null,
		uncertainty: 0 as Q,
		sources: [],
		remedy: missing
	};
}

export interface Judging<Q extends number> {
	readonly sort: Q extends Millimetres ? 'length' : 'load';
	readonly limits: readonly Limit<Q>[];
	readonly sources: readonly Source[];
	/** Half-width of the 95 % interval, same unit as the figure. */
	readonly uncertainty?: number;
	/** What the gauge resolves, same unit as the figure. */
	readonly resolution?: number | undefined;
	/** What to say when the given limit decided against the figure. */
	readonly remedy: (limit: Limit<Q>, state: State) => Phrase;
}

/**
 * Judges a figure against its limits.
 *
 * The worst limit passed decides. A figure nearer to a stop limit than its
 * 95 % uncertainty, on either side, is too close to call. A clear figure whose
 * inputs are told or remembered becomes a watch. A figure, limit or uncertainty
 * that is no finite number is "not measured": it can never be clear.
 *
 * @example judge(mm(1.27), { sort: 'length', limits: [floor of 1.27 mm], … }).state // 'clear'
 */
export function judge<Q extends Millimetres | Newtons>(figure: Q, how: Judging<Q>): Verdict<Q> {
	const { limits, sources, uncertainty = 0, resolution } = how;
	if (!isAllFinite(figure, uncertainty, limits)) {
		return {
			...notMeasured<Q>(['no finite figure: look at what it was worked out from']),
			sources
		};
	}
	let state: State = 'clear';
	let decisive: Limit<Q> | null = null;
	let difference = Number.POSITIVE_INFINITY;

	for (const limit of limits) {
		const inside = insideBy(figure, limit, how.sort);
		const against = stateAgainst(limit, inside, uncertainty);
		const worse = rank(against) - rank(state);
		if (decisive === null || worse > 0 || (worse === 0 && inside < difference)) {
			state = against;
			decisive = limit;
			difference = inside;
		}
	}

	let remedy: Phrase = state === 'clear' || decisive === null ? [] : how.remedy(decisive, state);
	const unconfirmed = state === 'clear' && sources.find((source) => UNCONFIRMED.has(source));
	if (unconfirmed) {
		const origin = unconfirmed === 'told' ? 'told by the customer' : 'from memory';
		state = 'watch';
		remedy = [`A figure behind this is ${origin}: confirm it`];
	}
	return {
		state,
		figure,
		limits,
		limit: decisive,
		difference: decisive === null ? null : (difference as Q),
		uncertainty: uncertainty as Q,
		...(resolution !== undefined && { resolution: resolution as Q }),
		sources,
		remedy
	};
}

function isAllFinite(figure: number, uncertainty: number, limits: readonly Limit[]): boolean {
	if (!Number.isFinite(figure) || !Number.isFinite(uncertainty)) return false;
	for (const { at } of limits) if (!Number.isFinite(at)) return false;
	return true;
}

/** How far inside its limit a figure is, after rounding to the comparison step. */
function insideBy(figure: number, limit: Limit, sort: keyof typeof COMPARISON_STEP): number {
	const distance = limit.side === 'floor' ? figure - limit.at : limit.at - figure;
	return toComparisonStep(distance, sort) + 0;
}

function stateAgainst(limit: Limit, inside: number, uncertainty: number): State {
	if (limit.severity === 'stop' && Math.abs(inside) < uncertainty) return 'too close';
	return inside < 0 ? limit.severity : 'clear';
}

/** From calm to alarming; {@link worst} goes by this order. */
const RANK: Readonly<Record<State, number>> = {
	clear: 0,
	'not measured': 1,
	watch: 2,
	'too close': 3,
	stop: 4
};
const rank = (state: State) => RANK[state];

/** Orders states with the most alarming first. */
export const byAlarm = (a: State, b: State) => rank(b) - rank(a);

/** The most alarming of several states; an empty list is not measured. */
export function worst(states: readonly State[]): State {
	return states.reduce<State>(
		(a, b) => (rank(b) > rank(a) ? b : a),
		states.length === 0 ? 'not measured' : 'clear'
	);
}
