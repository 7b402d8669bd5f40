/** Which check tells most for its minutes. Source: docs/trade/visits.md. */
import { CAUSES, type Complaint } from './causes.ts';
import { BEFORE_ELSEWHERE, CHECK_CODES, CHECKS, evidenceOf, type CheckCode } from './evidence.ts';
import {
	chanceOf,
	USUAL_LIKELIHOODS,
	weigh,
	type Beliefs,
	type Found,
	type Likelihoods
} from './weigh.ts';

export interface ProposedCheck {
	readonly check: CheckCode;
	readonly minutes: number;
	/** What it would tell, in bits a minute. */
	readonly worth: number;
}

/** Not yet divided by what they sum to, which is given: of such weights, how much is unknown, in bits. */
function bits(weights: Float64Array, sum: number): number {
	let entropy = 0;
	for (const weight of weights) if (weight > 0) entropy -= weight * Math.log2(weight / sum);
	return entropy / sum;
}

/** How often each cause brings each thing that a check tells, by what is weighed by. */
const chances = new WeakMap<Likelihoods, Map<CheckCode, readonly Float64Array[]>>();
function chancesOf(check: CheckCode, by: Likelihoods): readonly Float64Array[] {
	const known = chances.get(by) ?? new Map<CheckCode, readonly Float64Array[]>();
	chances.set(by, known);
	const before = known.get(check);
	if (before) return before;
	const of = evidenceOf(check).map((code) =>
		Float64Array.from(CAUSES, (cause) => chanceOf(code, cause, by))
	);
	known.set(check, of);
	return of;
}

/** How much less is unknown after a check, in bits, on average over what it may find. */
export function expectedGain(
	beliefs: Beliefs,
	check: CheckCode,
	by: Likelihoods = USUAL_LIKELIHOODS
): number {
	const start = Float64Array.from(CAUSES, (cause) => beliefs[cause]);
	const each = chancesOf(check, by);
	const after = new Float64Array(start.length);
	let left = 0;
	for (let outcome = 0; outcome < 2 ** each.length; outcome++) {
		after.set(start);
		each.forEach((chance, i) => {
			const isThere = ((outcome >> i) & 1) === 1;
			for (let k = 0; k < after.length; k++) after[k]! *= isThere ? chance[k]! : 1 - chance[k]!;
		});
		let sum = 0;
		for (const weight of after) sum += weight;
		if (sum > 0) left += sum * bits(after, sum);
	}
	return bits(start, 1) - left;
}

/** What is looked at first where something broke: the broken thing itself says most of how it broke. */
export const FIRST_CHECKS: Readonly<Partial<Record<Complaint, CheckCode>>> = {
	'broken-spring': 'springs-seen',
	'broken-rocker': 'look-under-cover',
	'broken-pushrod': 'pushrods-rolled',
	'dropped-valve': 'valves-out'
};

/** Checks not done yet, the one that tells most for its minutes first, but after the complaint's own first one. */
export function proposedChecks(
	complaint: Complaint,
	found: Found,
	done: readonly CheckCode[],
	by: Likelihoods = USUAL_LIKELIHOODS
): ProposedCheck[] {
	const beliefs = weigh(complaint, found, by);
	return CHECK_CODES.filter((check) => !done.includes(check))
		.map((check) => ({
			check,
			minutes: CHECKS[check],
			worth: expectedGain(beliefs, check, by) / CHECKS[check]
		}))
		.toSorted(
			(a, b) =>
				Number(b.check === FIRST_CHECKS[complaint]) - Number(a.check === FIRST_CHECKS[complaint]) ||
				b.worth - a.worth
		);
}

/** What must still be done before it may be said to lie elsewhere, the quickest first. */
export const leftBeforeElsewhere = (done: readonly CheckCode[]): CheckCode[] =>
	BEFORE_ELSEWHERE.filter((check) => !done.includes(check)).toSorted(
		(a, b) => CHECKS[a] - CHECKS[b]
	);
