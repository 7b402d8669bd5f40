/**
 * Weighs causes by the findings, one or two causes at a time. Anything not checked counts for
 * nothing, marks that occur together count once, and a figure counts by how surely it is beyond
 * its line. Source: docs/trade/visits.md; causes that act together follow the noisy-OR of Pearl, 1988.
 */
import {
	CAUSES,
	OF_MEASURING,
	USUAL_WEIGHT,
	USUAL_WEIGHTS,
	type Cause,
	type Complaint,
	type Weights
} from './causes.ts';
import {
	EVIDENCE,
	STEPS,
	type EvidenceCode,
	type EvidenceRule,
	type HowOften
} from './evidence.ts';

/** How surely each finding is there: 1 found, 0 checked and not there, between them for a figure near its line. */
export type Found = Readonly<Partial<Record<EvidenceCode, number>>>;
/** How likely each cause is present, alone or with another one: 0 to 1. */
export type Beliefs = Readonly<Record<Cause, number>>;

/** A change tried for a cause, and what it did to the fault. */
export interface TrialOutcome {
	readonly cause: Cause;
	readonly result: 'gone' | 'better' | 'same' | 'worse';
}

/** A group of marks favors one cause over another by this ratio at most. */
const MAX_RATIO_OF_A_GROUP = 20;
/** Chance that a second fault is present: shop practice, two return visits in five. */
const SECOND_FAULT = 0.4;
/** Chance that readings are off as a whole on a visit: another gauge, a warm engine. Shop practice. */
const MEASURED_OFF = 0.1;
/** Chance of a figure beyond its line, or of unmistakable damage, with no cause: chosen on trials, bench:diagnosis. */
const WITHOUT_CAUSE = 0.003;
/** How likely each result of a trial is if it addressed the cause, and if it did not: shop practice. */
const TRIAL_CHANCES = {
	gone: { if: 0.7, ifNot: 0.1 },
	better: { if: 0.2, ifNot: 0.2 },
	same: { if: 0.07, ifNot: 0.6 },
	worse: { if: 0.03, ifNot: 0.1 }
} as const satisfies Record<TrialOutcome['result'], { if: number; ifNot: number }>;

/** A shop's likelihoods: starting weights, and levels where they differ from those shipped. */
export interface Likelihoods {
	readonly start: Weights;
	readonly steps: Readonly<
		Partial<Record<EvidenceCode, Readonly<Partial<Record<Cause, HowOften>>>>>
	>;
}
export const USUAL_LIKELIHOODS: Likelihoods = { start: USUAL_WEIGHTS, steps: {} };

/** Whether it is stated for a cause how often it produces a finding. */
export const isStated = (code: EvidenceCode, cause: Cause, { steps }: Likelihoods): boolean =>
	steps[code]?.[cause] !== undefined || (EVIDENCE[code] as EvidenceRule).by[cause] !== undefined;

/** How often a cause produces a finding, in words. */
export function stepOf(
	code: EvidenceCode,
	cause: Cause,
	{ steps }: Likelihoods = USUAL_LIKELIHOODS
): HowOften {
	const { by, else: rest }: EvidenceRule = EVIDENCE[code];
	return steps[code]?.[cause] ?? by[cause] ?? rest;
}

/** The starting weight of a cause for a complaint, the shop's own or as shipped. */
export const startOf = (
	complaint: Complaint,
	cause: Cause,
	{ start }: Likelihoods = USUAL_LIKELIHOODS
): number => start[complaint][cause] ?? USUAL_WEIGHT;

/** One cause, or two that are present together. */
export type CauseSet = readonly [Cause] | readonly [Cause, Cause];

const isOfMeasuring = (cause: Cause) => (OF_MEASURING as readonly Cause[]).includes(cause);
/** Causes that a second one may join; "elsewhere" and "unlisted" stand alone but for what is of measuring. */
const isJoined = (first: Cause, second: Cause): boolean => {
	const isOpen = (cause: Cause) => cause === 'elsewhere' || cause === 'unlisted';
	if (isOpen(first)) return isOfMeasuring(second);
	if (isOpen(second)) return isOfMeasuring(first);
	return true;
};

/** Every cause alone, then every pair of causes that can be present together. */
export const CAUSE_SETS: readonly CauseSet[] = [
	...CAUSES.map((cause): CauseSet => [cause]),
	...CAUSES.flatMap((first, i) =>
		CAUSES.slice(i + 1)
			.filter((second) => isJoined(first, second))
			.map((second): CauseSet => [first, second])
	)
];

/** Chance of a finding with these causes present: each of which it is stated produces it independently of the other. */
function chanceWith(code: EvidenceCode, causes: CauseSet, by: Likelihoods): number {
	const stated = causes.filter((cause) => isStated(code, cause, by));
	if (stated.length > 0)
		return 1 - stated.reduce((none, cause) => none * (1 - STEPS[stepOf(code, cause, by)]), 1);
	const { type, else: rest, isUnmistakable }: EvidenceRule = EVIDENCE[code];
	const isPlain = isUnmistakable || (type === 'figure' && rest === 'hardly-ever');
	return isPlain ? WITHOUT_CAUSE : STEPS[rest];
}

/** What is worked out once for each set of likelihoods. */
const worked = new WeakMap<Likelihoods, Map<EvidenceCode, Float64Array>>();

/** Chance of a finding for each of {@link CAUSE_SETS}. */
export function chancesOf(code: EvidenceCode, by: Likelihoods): Float64Array {
	const known = worked.get(by) ?? new Map<EvidenceCode, Float64Array>();
	worked.set(by, known);
	const before = known.get(code);
	if (before) return before;
	const chances = Float64Array.from(CAUSE_SETS, (causes) => chanceWith(code, causes, by));
	known.set(code, chances);
	return chances;
}

/** Scales weights so that they sum to one. */
function normalized(weights: Float64Array): Float64Array {
	const sum = weights.reduce((all, one) => all + one, 0);
	return weights.map((weight) => weight / sum);
}

const started = new WeakMap<Likelihoods, Map<Complaint, Float64Array>>();

/** Starting weights of {@link CAUSE_SETS} for a complaint, worked out once for each set of likelihoods. */
export function startingWeights(
	complaint: Complaint,
	by: Likelihoods = USUAL_LIKELIHOODS
): Float64Array {
	const known = started.get(by) ?? new Map<Complaint, Float64Array>();
	started.set(by, known);
	const weights = known.get(complaint) ?? weighedAtFirst(complaint, by);
	known.set(complaint, weights);
	return weights;
}

/** One of a pair explains the complaint; the other is there by itself. */
function weighedAtFirst(complaint: Complaint, by: Likelihoods): Float64Array {
	const weights = new Map(CAUSES.map((cause) => [cause, startOf(complaint, cause, by)]));
	const joins = (cause: Cause) =>
		isOfMeasuring(cause) ? MEASURED_OFF : SECOND_FAULT / CAUSES.length;
	return normalized(
		Float64Array.from(CAUSE_SETS, ([first, second]) =>
			second === undefined
				? weights.get(first)!
				: weights.get(first)! * joins(second) + weights.get(second)! * joins(first)
		)
	);
}

/** How likely each of {@link CAUSE_SETS} is by all findings and trials; sums to one. */
export function weighSets(
	complaint: Complaint,
	found: Found,
	by: Likelihoods = USUAL_LIKELIHOODS,
	trials: readonly TrialOutcome[] = []
): Float64Array {
	const groups = new Map<string, EvidenceCode[]>();
	for (const code of Object.keys(found) as EvidenceCode[]) {
		const { group }: EvidenceRule = EVIDENCE[code];
		const key = group ?? code;
		groups.set(key, [...(groups.get(key) ?? []), code]);
	}
	let weights = startingWeights(complaint, by);
	for (const codes of groups.values()) {
		const likelihoods = new Float64Array(CAUSE_SETS.length).fill(1);
		for (const code of codes) {
			const chances = chancesOf(code, by);
			const surely = found[code]!;
			for (let i = 0; i < likelihoods.length; i++)
				likelihoods[i]! *= surely * chances[i]! + (1 - surely) * (1 - chances[i]!);
		}
		const max = Math.max(...likelihoods);
		const min = codes.length > 1 ? max / MAX_RATIO_OF_A_GROUP : 0;
		weights = normalized(weights.map((weight, i) => weight * Math.max(likelihoods[i]!, min)));
	}
	for (const { cause, result } of trials) {
		const chances = TRIAL_CHANCES[result];
		weights = normalized(
			weights.map((weight, i) => {
				const isTried = (CAUSE_SETS[i] as readonly Cause[]).includes(cause);
				return weight * (isTried ? chances.if : chances.ifNot);
			})
		);
	}
	return weights;
}

/** How likely each cause is before anything has been checked. */
export const beginning = (complaint: Complaint, by: Likelihoods = USUAL_LIKELIHOODS): Beliefs =>
	beliefsOf(startingWeights(complaint, by));

/** How likely any of some causes is present. */
export const beliefInAny = (weights: Float64Array, causes: readonly Cause[]): number =>
	CAUSE_SETS.reduce(
		(sum, set, i) => (set.some((cause) => causes.includes(cause)) ? sum + weights[i]! : sum),
		0
	);

/** How likely each cause is by the weights of {@link CAUSE_SETS}. */
export function beliefsOf(weights: Float64Array): Beliefs {
	const beliefs = Object.fromEntries(CAUSES.map((cause) => [cause, 0])) as Record<Cause, number>;
	CAUSE_SETS.forEach((set, i) => {
		for (const cause of set) beliefs[cause] += weights[i]!;
	});
	return beliefs;
}

/** How likely each cause is by all findings. Two can be present together, so the sum may be above one. */
export const weigh = (
	complaint: Complaint,
	found: Found,
	by: Likelihoods = USUAL_LIKELIHOODS,
	trials: readonly TrialOutcome[] = []
): Beliefs => beliefsOf(weighSets(complaint, found, by, trials));

/**
 * Returns how a finding changes the odds of a cause: its likelihood with the cause alone over its
 * mean likelihood by the starting weights. Above 1 it speaks for the cause.
 */
export function supportOf(
	code: EvidenceCode,
	surely: number,
	complaint: Complaint,
	by: Likelihoods
): (cause: Cause) => number {
	const chances = chancesOf(code, by);
	const likelihood = (i: number) => surely * chances[i]! + (1 - surely) * (1 - chances[i]!);
	const mean = startingWeights(complaint, by).reduce(
		(sum, weight, i) => sum + weight * likelihood(i),
		0
	);
	return (cause) => likelihood(CAUSES.indexOf(cause)) / mean;
}
