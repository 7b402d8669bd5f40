/**
 * A verdict is what a figure means: the figure, the limit that decided, how
 * far apart the two are, where the inputs came from, and what would change it
 * (docs/trade/foundation.md#verdicts). Nothing is ever clear because data is missing.
 */
import {
	mm,
	toComparisonStep,
	type COMPARISON_STEP,
	type CubicCentimetres,
	type Kilopascals,
	type Millimetres,
	type Newtons,
	type RevolutionsPerMinute
} from '../units/index.ts';
import { SURELY_INSIDE } from './uncertainty.ts';
import { message, needsIn, needsOf, type Message, type Need } from '../message/index.ts';

declare module '../message/message.ts' {
	interface Messages {
		'figure.not-finite': null;
		/** What of it is somebody's word; null where nobody said which. */
		'figure.unconfirmed': { readonly source: Source; readonly of: Behind | null };
	}
}

export const STATES = ['clear', 'not-measured', 'watch', 'inconclusive', 'stop'] as const;
export type State = (typeof STATES)[number];

/** Where a figure came from. What a customer says or somebody recalls never makes a verdict clear on its own. */
export const SOURCES = [
	'measured',
	'tested',
	'card',
	'data-sheet',
	'customer',
	'recalled'
] as const;
/** What anybody may name, and a test of an earlier visit, which nobody names: a spring that has run since is not what it was. */
export type Source = (typeof SOURCES)[number] | 'earlier-visit';
const UNCONFIRMED: ReadonlySet<Source> = new Set(['customer', 'recalled', 'earlier-visit']);
/** Whether nothing that was read at this visit or printed stands for it. */
export const isUnconfirmed = (source: Source): boolean => UNCONFIRMED.has(source);

/** Figures that others stand on. */
export type Behind = 'height' | 'seal-gap' | 'lift' | 'spring' | 'coil-bind' | 'target' | 'lash';
/** Where a figure that another stands on came from. */
export interface From {
	readonly of: Behind;
	readonly source: Source;
}
export const sourceIn = (from: Source | From): Source =>
	typeof from === 'string' ? from : from.source;

/** Limits that figures are held against; a room adds those it judges by. */
// eslint-disable-next-line @typescript-eslint/no-empty-object-type
export interface LimitCodes {}
export type LimitCode = keyof LimitCodes;

export interface Limit<Q extends number = number> {
	/** Which limit of the job it is. */
	readonly code: LimitCode;
	readonly side: 'floor' | 'ceiling';
	readonly at: Q;
	readonly severity: 'watch' | 'stop';
}

/**
 * Floor and ceiling as far on either side of a length.
 *
 * @param reach half the distance between them, in mm
 */
export function around(
	code: LimitCode,
	middle: Millimetres,
	reach: Millimetres,
	severity: Limit['severity']
): Limit<Millimetres>[] {
	return [
		{ code, side: 'floor', at: mm(middle - reach), severity },
		{ code, side: 'ceiling', at: mm(middle + reach), severity }
	];
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
	/** What it needs and has not got; empty where it is known. */
	readonly needs: readonly Need[];
	/** What is the matter and what would change it; null when clear. */
	readonly remedy: Message | null;
}

/**
 * A verdict on a figure that is not there: what it needs, or why it cannot be told.
 *
 * @param why what says why, or the list of what it needs
 */
export function notMeasured<Q extends number>(why: Message | readonly Need[]): Verdict<Q> {
	const needs = 'code' in why ? needsIn(why) : why;
	return {
		state: 'not-measured',
		figure: null,
		limits: [],
		limit: null,
		difference: null,
		uncertainty: 0 as Q,
		sources: [],
		needs,
		remedy: needs.length > 0 ? needsOf(needs) : (why as Message)
	};
}

type DimensionOf<Q> =
	| (Millimetres extends Q ? 'length' : never)
	| (Newtons extends Q ? 'load' : never)
	| (Kilopascals extends Q ? 'pressure' : never)
	| (CubicCentimetres extends Q ? 'volume' : never)
	| (RevolutionsPerMinute extends Q ? 'speed' : never);

export interface Judging<Q extends number> {
	readonly dimension: DimensionOf<Q>;
	readonly limits: readonly Limit<Q>[];
	/** Where the figure and what it stands on came from. */
	readonly sources: readonly (Source | From)[];
	/** Half-width of the 95 % interval, same unit as the figure. */
	readonly uncertainty?: number;
	/** What the gauge resolves, same unit as the figure. */
	readonly resolution?: number | undefined;
	/** What to say when the given limit decided against the figure. */
	readonly remedy: (limit: Limit<Q>, state: State) => Message | null;
}

/**
 * Judges a figure against its limits.
 *
 * The worst limit passed decides. A figure nearer to a stop limit than its
 * 95 % uncertainty beyond it, or {@link SURELY_INSIDE} of that inside it, is too close to call. A clear figure whose
 * inputs are a customer's word or recalled becomes a watch. A figure, limit or uncertainty
 * that is no finite number is "not measured": it can never be clear.
 *
 * @example judge(mm(1.27), { dimension: 'length', limits: [floor of 1.27 mm], … }).state // 'clear'
 */
export function judge<
	Q extends Millimetres | Newtons | Kilopascals | CubicCentimetres | RevolutionsPerMinute
>(figure: Q, how: Judging<Q>): Verdict<Q> {
	const { limits, uncertainty = 0, resolution } = how;
	const sources = how.sources.map(sourceIn);
	if (!isAllFinite(figure, uncertainty, limits)) {
		return { ...notMeasured<Q>(message('figure.not-finite')), sources };
	}
	let state: State = 'clear';
	let decisive: Limit<Q> | null = null;
	let difference = Number.POSITIVE_INFINITY;

	for (const limit of limits) {
		const inside = insideBy(figure, limit, how.dimension);
		const against = stateAgainst(limit, inside, uncertainty);
		const worse = rank(against) - rank(state);
		if (decisive === null || worse > 0 || (worse === 0 && inside < difference)) {
			state = against;
			decisive = limit;
			difference = inside;
		}
	}

	let remedy = state === 'clear' || decisive === null ? null : how.remedy(decisive, state);
	const word = how.sources.find((from) => UNCONFIRMED.has(sourceIn(from)));
	if (state === 'clear' && word !== undefined) {
		state = 'watch';
		const of = typeof word === 'string' ? null : word.of;
		remedy = message('figure.unconfirmed', { source: sourceIn(word), of });
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
		needs: [],
		remedy
	};
}

function isAllFinite(figure: number, uncertainty: number, limits: readonly Limit[]): boolean {
	if (!Number.isFinite(figure) || !Number.isFinite(uncertainty)) return false;
	for (const { at } of limits) if (!Number.isFinite(at)) return false;
	return true;
}

/** How far inside its limit a figure is, after rounding to the comparison step. */
function insideBy(figure: number, limit: Limit, dimension: keyof typeof COMPARISON_STEP): number {
	const distance = limit.side === 'floor' ? figure - limit.at : limit.at - figure;
	return toComparisonStep(distance, dimension) + 0;
}

/**
 * A stop limit is cleared by {@link SURELY_INSIDE} of the interval's half-width, and is passed
 * by the whole of it; in between is too close to call.
 */
function stateAgainst(limit: Limit, inside: number, uncertainty: number): State {
	const isClose = inside < 0 ? -inside < uncertainty : inside < uncertainty * SURELY_INSIDE;
	if (limit.severity === 'stop' && isClose) return 'inconclusive';
	return inside < 0 ? limit.severity : 'clear';
}

/** From calm to alarming; {@link worst} goes by this order. */
const RANK: Readonly<Record<State, number>> = {
	clear: 0,
	'not-measured': 1,
	watch: 2,
	inconclusive: 3,
	stop: 4
};
const rank = (state: State) => RANK[state];

/** Orders states with the most alarming first. */
export const byAlarm = (a: State, b: State) => rank(b) - rank(a);

/** The most alarming of several states; an empty list is not measured. */
export function worst(states: readonly State[]): State {
	return states.reduce<State>(
		(a, b) => (rank(b) > rank(a) ? b : a),
		states.length === 0 ? 'not-measured' : 'clear'
	);
}
