/** The answer to a complaint: in words, never as a percentage, and no cause without a figure or a mark that supports it. Source: docs/trade/visits.md. */
import { alikeTo, CAUSES, rootOf, type Cause, type Complaint } from './causes.ts';
import {
	CHECKS,
	EVIDENCE,
	type CheckCode,
	type EvidenceCode,
	type EvidenceRule
} from './evidence.ts';
import {
	leftBeforeElsewhere,
	leftBeforeRunning,
	proposedChecks,
	type ProposedCheck
} from './next-check.ts';
import {
	beliefInAny,
	beliefsOf,
	isStated,
	supportOf,
	USUAL_LIKELIHOODS,
	weighSets,
	type Found,
	type Likelihoods,
	type TrialOutcome
} from './weigh.ts';

export const LIKELY = ['most-likely', 'suspected', 'possible', 'unlikely'] as const;
export type Likely = (typeof LIKELY)[number];

export interface Weighed {
	readonly cause: Cause;
	readonly likely: Likely;
	/** Evidence for it and against it, the strongest first. */
	readonly for: readonly EvidenceCode[];
	readonly against: readonly EvidenceCode[];
}

/** A cause that is found, or several that the findings cannot tell apart. */
interface FoundCause {
	readonly cause: Cause;
	/** Causes that fit the same findings. */
	readonly or: readonly Cause[];
}

export interface NamedCause extends FoundCause {
	/** The named cause that this one may be a consequence of. */
	readonly after: Cause | null;
}

export interface Diagnosis {
	/** The likeliest cause once every finding is explained; not the valvetrain; or not known yet. */
	readonly answer:
		| { readonly type: 'cause'; readonly cause: Cause }
		| { readonly type: 'elsewhere' }
		| { readonly type: 'not-known-yet' };
	/** The causes found so far, the likeliest first; there may be more while findings are unexplained. */
	readonly named: readonly NamedCause[];
	/** Every cause, the likeliest first. */
	readonly causes: readonly Weighed[];
	/** Figures beyond their lines that no named cause explains. */
	readonly unexplained: readonly EvidenceCode[];
	/** The next check; null where none would reveal enough. */
	readonly next: ProposedCheck | null;
	/** Checks still required before the program may say "not the valvetrain", and their minutes together. */
	readonly beforeElsewhere: { readonly checks: readonly CheckCode[]; readonly minutes: number };
}

/** The least belief that each word stands for; see docs/trade/visits.md for how often each proved right. */
const WORDS = { 'most-likely': 0.9, suspected: 0.5, possible: 0.1 } as const;
/** A member of a group that looks alike is named with it from this part of the group's belief. */
const NAMED_WITH = 0.1;
/** Evidence that changes the odds of a cause by less than this is neither for nor against it. */
const TELLING = 1.5;
/** A check that reveals fewer bits a minute than this is not proposed: chosen on trials, bench:diagnosis. */
const WORTHLESS = 5e-4;

/**
 * Returns the diagnosis of a complaint by all that has been found so far.
 *
 * @param found by finding, how surely it is there: 0 to 1
 * @param done checks that are complete
 * @param trials changes that were tried for a cause, with their results
 */
export function diagnose(
	complaint: Complaint,
	found: Found,
	done: readonly CheckCode[],
	by: Likelihoods = USUAL_LIKELIHOODS,
	trials: readonly TrialOutcome[] = []
): Diagnosis {
	const weights = weighSets(complaint, found, by, trials);
	const beliefs = beliefsOf(weights);
	const evidenceOn = weighEvidence(found, complaint, by);
	const causes = CAUSES.toSorted((a, b) => beliefs[b] - beliefs[a]).map((cause): Weighed => ({
		cause,
		likely: wordFor(beliefs[cause]),
		...evidenceOn(cause)
	}));
	const sure = namedCauses(weights, beliefs, found, by);
	const named = rootsFirst([
		...sure,
		...explaining(unexplainedBy(sure, found, by), weights, beliefs, by)
	]);
	const unexplained = unexplainedBy(named, found, by);
	const proposed = proposedChecks(complaint, beliefs, done, by);
	const [best] = proposed;
	const worthwhile = best && best.worth > WORTHLESS ? best : null;
	const left = leftBeforeElsewhere(done);
	const common = {
		named,
		causes,
		unexplained,
		beforeElsewhere: {
			checks: left,
			minutes: left.reduce((sum, check) => sum + CHECKS[check], 0)
		}
	};
	const proposalOf = (check: CheckCode) => proposed.find((one) => one.check === check)!;
	const first = causes[0]!.cause;
	if (first === 'elsewhere' && (beliefs.elsewhere >= WORDS['most-likely'] || !worthwhile)) {
		const [missing] = left;
		return missing === undefined
			? { answer: { type: 'elsewhere' }, ...common, next: null }
			: { answer: { type: 'not-known-yet' }, ...common, next: proposalOf(missing) };
	}
	const isAnswered = named.some(({ cause }) => !isOfReading(cause)) && unexplained.length === 0;
	const answer: Diagnosis['answer'] =
		named.length > 0 && (isAnswered || !worthwhile)
			? { type: 'cause', cause: named[0]!.cause }
			: { type: 'not-known-yet' };
	if (answer.type === 'not-known-yet') return { answer, ...common, next: worthwhile };
	// Damage with which the engine must not be run is looked for before an answer is final.
	const [due] = leftBeforeRunning(done);
	return { answer, ...common, next: due === undefined ? null : proposalOf(due) };
}

const wordFor = (belief: number): Likely =>
	belief >= WORDS['most-likely']
		? 'most-likely'
		: belief >= WORDS.suspected
			? 'suspected'
			: belief >= WORDS.possible
				? 'possible'
				: 'unlikely';

/** Causes that explain readings and no complaint. */
const isOfReading = (cause: Cause) => cause === 'gauge' || cause === 'temperature';

const isThere = (code: EvidenceCode, found: Found) => (found[code] ?? 0) > 0.5;
const ruleOf = (code: EvidenceCode): EvidenceRule => EVIDENCE[code];

/** Names what may be a consequence of another cause found, and puts it after that. */
function rootsFirst(found: readonly FoundCause[]): NamedCause[] {
	const all = found.map(({ cause }) => cause);
	const linked = found.map((one) => ({ ...one, after: rootOf(one.cause, all) }));
	return [
		...linked.filter(({ after }) => after === null),
		...linked.filter(({ after }) => after !== null)
	];
}

/** Whether a figure or a mark that is there supports one of some causes. */
const isSupported = (causes: readonly Cause[], found: Found, by: Likelihoods): boolean =>
	(Object.keys(found) as EvidenceCode[]).some(
		(code) =>
			isThere(code, found) &&
			ruleOf(code).type !== 'said' &&
			causes.some((cause) => isStated(code, cause, by))
	);

/** Causes that are most likely, by themselves or together with those that look alike. */
function namedCauses(
	weights: Float64Array,
	beliefs: Readonly<Record<Cause, number>>,
	found: Found,
	by: Likelihoods
): FoundCause[] {
	const named: FoundCause[] = [];
	for (const cause of CAUSES.toSorted((a, b) => beliefs[b] - beliefs[a])) {
		if (cause === 'elsewhere' || cause === 'unlisted') continue;
		const group = alikeTo(cause);
		const isSure = beliefs[cause] >= WORDS['most-likely'];
		if (!isSure && named.some((one) => group.includes(one.cause))) continue;
		const belief = beliefInAny(weights, group);
		if (belief < WORDS['most-likely'] || !isSupported(group, found, by)) continue;
		const or = isSure
			? []
			: group.filter((other) => other !== cause && beliefs[other] >= NAMED_WITH * belief);
		named.push({ cause, or });
	}
	return named;
}

/**
 * Causes of figures that those named do not explain. A figure beyond its line has a cause: of the
 * causes that produce it, one is named that is most likely among them.
 */
function explaining(
	unexplained: readonly EvidenceCode[],
	weights: Float64Array,
	beliefs: Readonly<Record<Cause, number>>,
	by: Likelihoods
): FoundCause[] {
	const named = new Map<Cause, FoundCause>();
	for (const code of unexplained) {
		const producers = CAUSES.filter((cause) => isStated(code, cause, by));
		const any = beliefInAny(weights, producers);
		const [first] = producers.toSorted((a, b) => beliefs[b] - beliefs[a]);
		if (any < WORDS.suspected || first === undefined) continue;
		const group = alikeTo(first);
		if (beliefInAny(weights, group) < WORDS['most-likely'] * any) continue;
		const or = group.filter((other) => other !== first && beliefs[other] >= NAMED_WITH * any);
		named.set(first, { cause: first, or });
	}
	return [...named.values()];
}

/** Figures that are there and that no named cause produces. */
function unexplainedBy(
	named: readonly FoundCause[],
	found: Found,
	by: Likelihoods
): EvidenceCode[] {
	const causes = named.flatMap(({ cause, or }) => [cause, ...or]);
	return (Object.keys(found) as EvidenceCode[]).filter(
		(code) =>
			isThere(code, found) &&
			ruleOf(code).type === 'figure' &&
			ruleOf(code).else === 'hardly-ever' &&
			!causes.some((cause) => isStated(code, cause, by))
	);
}

/** The findings that speak for each cause and against it, the strongest first. */
function weighEvidence(found: Found, complaint: Complaint, by: Likelihoods) {
	const supports = (Object.keys(found) as EvidenceCode[]).map((code) => ({
		code,
		of: supportOf(code, found[code]!, complaint, by)
	}));
	return (cause: Cause): Pick<Weighed, 'for' | 'against'> => {
		const all = supports
			.map(({ code, of }) => ({ code, ratio: of(cause) }))
			.toSorted((a, b) => Math.abs(Math.log(b.ratio)) - Math.abs(Math.log(a.ratio)));
		return {
			for: all.filter(({ ratio }) => ratio > TELLING).map(({ code }) => code),
			// What another fault produces is not against this one.
			against: all
				.filter(({ code, ratio }) => ratio < 1 / TELLING && isStated(code, cause, by))
				.map(({ code }) => code)
		};
	};
}
