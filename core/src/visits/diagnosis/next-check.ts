/** Which check would reveal most for its minutes. Source: docs/trade/visits.md. */
import { CAUSES, type Complaint } from './causes.ts';
import {
	BEFORE_ELSEWHERE,
	BEFORE_RUNNING,
	CHECK_CODES,
	CHECKS,
	evidenceOf,
	type CheckCode
} from './evidence.ts';
import { chancesOf, USUAL_LIKELIHOODS, type Beliefs, type Likelihoods } from './weigh.ts';

export interface ProposedCheck {
	readonly check: CheckCode;
	readonly minutes: number;
	/** What it would reveal, in bits a minute. */
	readonly worth: number;
}

/** The entropy, in bits, of weights that sum to `sum`, times that sum. */
function entropy(weights: Float64Array, sum: number): number {
	let bits = 0;
	for (const weight of weights) if (weight > 0) bits -= weight * Math.log2(weight / sum);
	return bits;
}
const sumOf = (weights: Float64Array): number => {
	let sum = 0;
	for (const weight of weights) sum += weight;
	return sum;
};
/** Outcomes this unlikely change the mean by nothing that matters. */
const NEGLIGIBLE = 1e-4;

/**
 * Returns how much less is unknown after a check, in bits: the mean over all that it may find, as
 * if one cause alone were present.
 */
export function expectedGain(
	beliefs: Beliefs,
	check: CheckCode,
	by: Likelihoods = USUAL_LIKELIHOODS
): number {
	// The first chances of a finding are those of each cause alone.
	const each = evidenceOf(check).map((code) => chancesOf(code, by).subarray(0, CAUSES.length));
	const all = CAUSES.reduce((sum, cause) => sum + beliefs[cause], 0);
	const start = Float64Array.from(CAUSES, (cause) => beliefs[cause] / all);
	/** What stays unknown once the first few findings have come out one way. */
	const unknownAfter = (outcome: Float64Array, next: number): number => {
		const sum = sumOf(outcome);
		const chances = each[next];
		if (chances === undefined || sum < NEGLIGIBLE) return entropy(outcome, sum);
		const [there, notThere] = [new Float64Array(outcome.length), new Float64Array(outcome.length)];
		for (let i = 0; i < outcome.length; i++) {
			there[i] = outcome[i]! * chances[i]!;
			notThere[i] = outcome[i]! - there[i]!;
		}
		return unknownAfter(there, next + 1) + unknownAfter(notThere, next + 1);
	};
	return entropy(start, 1) - unknownAfter(start, 0);
}

/** The check that comes first where something broke: the broken part itself shows most of the cause. */
export const FIRST_CHECKS: Readonly<Partial<Record<Complaint, CheckCode>>> = {
	'broken-spring': 'springs-seen',
	'broken-rocker': 'look-under-cover',
	'broken-pushrod': 'pushrods-rolled',
	'dropped-valve': 'valves-out'
};

/**
 * Checks that are not done yet, the one that would reveal most for its minutes first, after the
 * complaint's own first check.
 *
 * @param beliefs how likely each cause is by what has been found so far
 */
export function proposedChecks(
	complaint: Complaint,
	beliefs: Beliefs,
	done: readonly CheckCode[],
	by: Likelihoods = USUAL_LIKELIHOODS
): ProposedCheck[] {
	const isOwn = ({ check }: ProposedCheck) => Number(check === FIRST_CHECKS[complaint]);
	return CHECK_CODES.filter((check) => !done.includes(check))
		.map((check) => ({
			check,
			minutes: CHECKS[check],
			worth: expectedGain(beliefs, check, by) / CHECKS[check]
		}))
		.toSorted((a, b) => isOwn(b) - isOwn(a) || b.worth - a.worth);
}

const quickestFirst = (checks: readonly CheckCode[], done: readonly CheckCode[]): CheckCode[] =>
	checks.filter((check) => !done.includes(check)).toSorted((a, b) => CHECKS[a] - CHECKS[b]);

/** Checks still required before the program may say "not the valvetrain", the quickest first. */
export const leftBeforeElsewhere = (done: readonly CheckCode[]): CheckCode[] =>
	quickestFirst(BEFORE_ELSEWHERE, done);

/** Checks for dangerous damage that are still due, the quickest first. */
export const leftBeforeRunning = (done: readonly CheckCode[]): CheckCode[] =>
	quickestFirst(BEFORE_RUNNING, done);
