/** What happened to a station, from what moved at it: non-negative amounts of as few causes as will do. */
import { fit } from '../../foundation/least-squares/index.ts';
import { NORMAL } from '../../foundation/verdict/index.ts';
import type { Moved } from './change.ts';
import { HAPPENINGS, SIGNATURES, TRACES, type Happening, type Trace } from './signatures.ts';

export interface Happened {
	readonly happening: Happening;
	/** In mm, of a sagged spring in N; its half-width is of 95 %. */
	readonly amount: number;
	readonly uncertainty: number;
}

/** One way to explain what moved. */
export interface Explanation {
	readonly happened: readonly Happened[];
	/** What it leaves unexplained, as a weighted sum of squares. */
	readonly left: number;
}

export interface WhatHappened {
	/** All that fit alike, the best first; one that holds nothing where nothing moved. */
	readonly explanations: readonly Explanation[];
	/** Whether even the best leaves more than its readings can. */
	readonly fitsNone: boolean;
	/** The quantity not measured yet that would part those that fit alike; null where they are one, or nothing would. */
	readonly parts: Trace | null;
}

/** So many causes at once are looked for. */
const MAX_AT_ONCE = 3;
/** Another cause must take this much of what is left unexplained to be believed: a thousandth of chance. */
const PRICE = 9;
/** Explanations that leave no more than this much beyond the best are as good. */
const ALIKE = 3.84;

/** Subsets of the causes, from none to the most at once. */
const SUBSETS: readonly (readonly Happening[])[] = (() => {
	const all: Happening[][] = [[]];
	for (const one of HAPPENINGS)
		for (const subset of [...all]) if (subset.length < MAX_AT_ONCE) all.push([...subset, one]);
	return all;
})();

/** What is left by chance alone is below this with 99.9 %, by how many readings more than causes there are; with none more, what sums leave. */
const LEFT_BY_CHANCE = [1e-6, 10.8, 13.8, 16.3, 18.5, 20.5, 22.5, 24.3, 26.1] as const;

/**
 * Finds what explains the changes of one station.
 *
 * @param moved changes of what was measured then and now, the same sign as the figure: a height that grew is above nothing
 */
export function whatHappened(moved: Readonly<Partial<Record<Trace, Moved>>>): WhatHappened {
	const traces = TRACES.filter((trace) => moved[trace]);
	const measured = traces.map((trace) => moved[trace]!.by);
	const deviations = traces.map((trace) => moved[trace]!.uncertainty / NORMAL);
	const found = SUBSETS.flatMap((subset): (Explanation & { readonly price: number })[] => {
		const explained = explain(subset, traces, measured, deviations);
		return explained ? [{ ...explained, price: explained.left + PRICE * subset.length }] : [];
	}).toSorted((a, b) => a.price - b.price);
	const [best] = found;
	if (!best) return { explanations: [], fitsNone: true, parts: null };
	const near = found.filter(({ left }) => left - best.left <= ALIKE);
	// What is only one of these with something more says no more than that one.
	const alike = near.filter((one) => !near.some((other) => other !== one && holdsAll(one, other)));
	const free = traces.length - best.happened.length;
	const explanations = alike.map(({ happened, left }) => ({ happened, left }));
	return {
		explanations,
		fitsNone: best.left > (LEFT_BY_CHANCE[free] ?? LEFT_BY_CHANCE.at(-1)!),
		parts: partingTrace(explanations, traces)
	};
}

/** Whether an explanation has every cause of another. */
const holdsAll = ({ happened }: Explanation, { happened: other }: Explanation) =>
	other.length < happened.length &&
	other.every(({ happening }) => happened.some((one) => one.happening === happening));

/** The amounts of some causes; null where one would have gone backwards, or these readings do not tell them apart. */
function explain(
	subset: readonly Happening[],
	traces: readonly Trace[],
	measured: readonly number[],
	deviations: readonly number[]
): Explanation | null {
	if (subset.length === 0) {
		const left = measured.reduce((sum, by, row) => sum + (by / deviations[row]!) ** 2, 0);
		return { happened: [], left };
	}
	const basis = traces.map((trace) =>
		Float64Array.from(subset, (one) => SIGNATURES[one][trace] ?? 0)
	);
	const weights = Float64Array.from(deviations, (deviation) => deviation ** -2);
	const found = fit(basis, Float64Array.from(measured), weights);
	if (!found || found.coefficients.some((amount) => amount <= 0)) return null;
	return {
		happened: subset.map((happening, k) => ({
			happening,
			amount: found.coefficients[k]!,
			uncertainty: NORMAL * found.deviations[k]!
		})),
		left: found.left
	};
}

/** The quantity not measured that two alike explanations differ most in. */
function partingTrace(
	explanations: readonly Explanation[],
	traces: readonly Trace[]
): Trace | null {
	if (explanations.length < 2) return null;
	const foretold = (of: Explanation, trace: Trace) =>
		of.happened.reduce(
			(sum, { happening, amount }) => sum + amount * (SIGNATURES[happening][trace] ?? 0),
			0
		);
	const open = TRACES.filter((trace) => !traces.includes(trace)).map((trace) => {
		const all = explanations.map((one) => foretold(one, trace));
		return { trace, spread: Math.max(...all) - Math.min(...all) };
	});
	const widest = open.toSorted((a, b) => b.spread - a.spread)[0];
	return widest && widest.spread > 0 ? widest.trace : null;
}
