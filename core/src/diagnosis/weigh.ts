/**
 * Weighs causes by what was found. What was not looked at weighs nothing; marks that come
 * together count once; a figure weighs by how surely it is over its line. Source: handbook §10.
 */
import {
	CAUSES,
	USUAL_WEIGHT,
	USUAL_WEIGHTS,
	type Cause,
	type Complaint,
	type Weights
} from './causes.ts';
import { EVIDENCE, STEPS, type EvidenceRule, type EvidenceCode } from './evidence.ts';

/** How surely each piece of evidence is there: 1 seen, 0 looked for and not there, between them for a figure near its line. */
export type Found = Readonly<Partial<Record<EvidenceCode, number>>>;
export type Beliefs = Readonly<Record<Cause, number>>;

/** Evidence that comes together tells causes apart by no more than this. */
const MOST_OF_A_GROUP = 20;

/** How often a cause brings a piece of evidence. */
export function chanceOf(code: EvidenceCode, cause: Cause): number {
	const { by, else: rest }: EvidenceRule = EVIDENCE[code];
	return STEPS[by[cause] ?? rest];
}

const likelihood = (code: EvidenceCode, cause: Cause, surely: number): number => {
	const chance = chanceOf(code, cause);
	return surely * chance + (1 - surely) * (1 - chance);
};

/** Sums to one. */
export function normalised(weights: Readonly<Record<Cause, number>>): Beliefs {
	const sum = CAUSES.reduce((all, cause) => all + weights[cause], 0);
	return each((cause) => weights[cause] / sum);
}

const each = (of: (cause: Cause) => number): Record<Cause, number> =>
	Object.fromEntries(CAUSES.map((cause) => [cause, of(cause)])) as Record<Cause, number>;

/** What is believed before anything was looked at. */
export const beginning = (complaint: Complaint, weights: Weights = USUAL_WEIGHTS): Beliefs =>
	normalised(each((cause) => weights[complaint][cause] ?? USUAL_WEIGHT));

/** What is believed of each cause, by all that was found; sums to one. */
export function weigh(
	complaint: Complaint,
	found: Found,
	weights: Weights = USUAL_WEIGHTS
): Beliefs {
	const groups = new Map<string, EvidenceCode[]>();
	for (const code of Object.keys(found) as EvidenceCode[]) {
		const { group }: EvidenceRule = EVIDENCE[code];
		const key = group ?? code;
		groups.set(key, [...(groups.get(key) ?? []), code]);
	}
	let beliefs = beginning(complaint, weights);
	for (const codes of groups.values()) {
		const told = each((cause) =>
			codes.reduce((product, code) => product * likelihood(code, cause, found[code]!), 1)
		);
		const most = Math.max(...Object.values(told));
		const least = codes.length > 1 ? most / MOST_OF_A_GROUP : 0;
		const before = beliefs;
		beliefs = normalised(each((cause) => before[cause] * Math.max(told[cause], least)));
	}
	return beliefs;
}
