/**
 * Weighs causes by what was found. What was not looked at weighs nothing; marks that come
 * together count once; a figure weighs by how surely it is over its line. Source: docs/trade/visits.md.
 */
import {
	CAUSES,
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

/** How surely each piece of evidence is there: 1 seen, 0 looked for and not there, between them for a figure near its line. */
export type Found = Readonly<Partial<Record<EvidenceCode, number>>>;
export type Beliefs = Readonly<Record<Cause, number>>;

/** Evidence that comes together tells causes apart by no more than this. */
const MAX_OF_A_GROUP = 20;

/** What a shop weighs by: where it begins, and how often a cause brings a finding where it says otherwise than is usual. */
export interface Likelihoods {
	readonly start: Weights;
	readonly steps: Readonly<
		Partial<Record<EvidenceCode, Readonly<Partial<Record<Cause, HowOften>>>>>
	>;
}
export const USUAL_LIKELIHOODS: Likelihoods = { start: USUAL_WEIGHTS, steps: {} };

/** How often a cause brings a piece of evidence, in words. */
export function stepOf(
	code: EvidenceCode,
	cause: Cause,
	{ steps }: Likelihoods = USUAL_LIKELIHOODS
): HowOften {
	const { by, else: rest }: EvidenceRule = EVIDENCE[code];
	return steps[code]?.[cause] ?? by[cause] ?? rest;
}

/** How often a cause brings a piece of evidence. */
export const chanceOf = (code: EvidenceCode, cause: Cause, by?: Likelihoods): number =>
	STEPS[stepOf(code, cause, by)];

/** How likely a cause makes what was found, found so surely. */
export const likelihood = (
	code: EvidenceCode,
	cause: Cause,
	surely: number,
	by: Likelihoods
): number => {
	const chance = chanceOf(code, cause, by);
	return surely * chance + (1 - surely) * (1 - chance);
};

/** Sums to one. */
export function normalised(weights: Readonly<Record<Cause, number>>): Beliefs {
	const sum = CAUSES.reduce((all, cause) => all + weights[cause], 0);
	return each((cause) => weights[cause] / sum);
}

const each = (of: (cause: Cause) => number): Record<Cause, number> =>
	Object.fromEntries(CAUSES.map((cause) => [cause, of(cause)])) as Record<Cause, number>;

/** What a cause begins with for a complaint, by the shop or as is usual. */
export const startOf = (
	complaint: Complaint,
	cause: Cause,
	{ start }: Likelihoods = USUAL_LIKELIHOODS
): number => start[complaint][cause] ?? USUAL_WEIGHT;

/** What is believed before anything was looked at. */
export const beginning = (complaint: Complaint, by: Likelihoods = USUAL_LIKELIHOODS): Beliefs =>
	normalised(each((cause) => startOf(complaint, cause, by)));

/** What is believed of each cause, by all that was found; sums to one. */
export function weigh(
	complaint: Complaint,
	found: Found,
	by: Likelihoods = USUAL_LIKELIHOODS
): Beliefs {
	const groups = new Map<string, EvidenceCode[]>();
	for (const code of Object.keys(found) as EvidenceCode[]) {
		const { group }: EvidenceRule = EVIDENCE[code];
		const key = group ?? code;
		groups.set(key, [...(groups.get(key) ?? []), code]);
	}
	let beliefs = beginning(complaint, by);
	for (const codes of groups.values()) {
		const likelihoods = each((cause) =>
			codes.reduce((product, code) => product * likelihood(code, cause, found[code]!, by), 1)
		);
		const max = Math.max(...Object.values(likelihoods));
		const min = codes.length > 1 ? max / MAX_OF_A_GROUP : 0;
		const before = beliefs;
		beliefs = normalised(each((cause) => before[cause] * Math.max(likelihoods[cause], min)));
	}
	return beliefs;
}
