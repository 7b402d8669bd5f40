/** What is said: in words, never as a chance; nothing as found without a figure or a mark behind it. Source: docs/trade/visits.md. */
import { CAUSES, type Cause, type Complaint } from './causes.ts';
import { EVIDENCE, type CheckCode, type EvidenceRule, type EvidenceCode } from './evidence.ts';
import { leftBeforeElsewhere, proposedChecks, type ProposedCheck } from './next-check.ts';
import {
	beginning,
	likelihood,
	USUAL_LIKELIHOODS,
	weigh,
	type Beliefs,
	type Found,
	type Likelihoods
} from './weigh.ts';

export type Likely = 'most-likely' | 'possible' | 'unlikely';

export interface Weighed {
	readonly cause: Cause;
	readonly likely: Likely;
	/** Evidence that raises it, and that lowers it, the strongest first. */
	readonly for: readonly EvidenceCode[];
	readonly against: readonly EvidenceCode[];
}

export interface Diagnosis {
	/** A cause, that it lies elsewhere, or that it is not known yet. */
	readonly answer:
		| { readonly type: 'cause'; readonly cause: Cause }
		| { readonly type: 'elsewhere' }
		| { readonly type: 'not-known-yet' };
	/** Every cause, the likeliest first. */
	readonly causes: readonly Weighed[];
	/** What to do next; null where nothing is left that would tell anything. */
	readonly next: ProposedCheck | null;
}

/** Beliefs from which a cause is found, most likely, possible. */
const FOUND = 0.9;
const MOST_LIKELY = 0.5;
const POSSIBLE = 0.05;
/** Evidence that moves a cause against the average by less than this is neither for nor against it. */
const TELLS = 1.5;
/** Checks that tell less than this many bits a minute are not worth it. */
const WORTHLESS = 5e-4;

/** What is said of a complaint by all that was found so far. */
export function diagnose(
	complaint: Complaint,
	found: Found,
	done: readonly CheckCode[],
	by: Likelihoods = USUAL_LIKELIHOODS
): Diagnosis {
	const beliefs = weigh(complaint, found, by);
	const start = beginning(complaint, by);
	const causes = CAUSES.toSorted((a, b) => beliefs[b] - beliefs[a]).map((cause) =>
		weighedBy(cause, beliefs[cause], found, start, by)
	);
	const [first] = causes;
	const leftToDo = leftBeforeElsewhere(done);
	const isSure = beliefs[first!.cause] >= FOUND;
	const proposed = proposedChecks(complaint, found, done, by);
	const [best] = proposed;
	const worthwhile = best && best.worth > WORTHLESS ? best : null;
	if (first!.cause === 'elsewhere' && (isSure || !worthwhile)) {
		// It is said to lie elsewhere only once the train was gone over.
		const [missing] = leftToDo;
		if (missing === undefined) return { answer: { type: 'elsewhere' }, causes, next: null };
		return {
			answer: { type: 'not-known-yet' },
			causes,
			next: proposed.find(({ check }) => check === missing)!
		};
	}
	const isBacked = first!.for.some((code) => (EVIDENCE[code] as EvidenceRule).type !== 'said');
	if (isSure && isBacked && first!.cause !== 'unlisted')
		return { answer: { type: 'cause', cause: first!.cause }, causes, next: null };
	return { answer: { type: 'not-known-yet' }, causes, next: worthwhile };
}

/** How likely a cause is in words, and what of all that was found speaks for and against it. */
function weighedBy(
	cause: Cause,
	belief: number,
	found: Found,
	start: Beliefs,
	by: Likelihoods
): Weighed {
	const weighed = (Object.keys(found) as EvidenceCode[])
		.map((code) => ({ code, lift: liftOf(code, cause, found[code]!, start, by) }))
		.toSorted((a, b) => Math.abs(Math.log(b.lift)) - Math.abs(Math.log(a.lift)));
	return {
		cause,
		likely: belief >= MOST_LIKELY ? 'most-likely' : belief >= POSSIBLE ? 'possible' : 'unlikely',
		for: weighed.filter(({ lift }) => lift > TELLS).map(({ code }) => code),
		against: weighed.filter(({ lift }) => lift < 1 / TELLS).map(({ code }) => code)
	};
}

/** How much likelier a piece of evidence is by this cause than by all of them as they were believed at first. */
function liftOf(
	code: EvidenceCode,
	cause: Cause,
	surely: number,
	start: Beliefs,
	by: Likelihoods
): number {
	const of = (one: Cause) => likelihood(code, one, surely, by);
	return of(cause) / CAUSES.reduce((sum, one) => sum + start[one] * of(one), 0);
}
