/** The valves that a cause concerns, and the springs that it condemns. Source: docs/trade/visits.md. */
import {
	stepOf,
	EVIDENCE,
	type Cause,
	type EvidenceCode,
	type EvidenceRule,
	type Found,
	type NamedCause
} from '../../diagnosis/index.ts';

/** What was found, and the stations at which each finding was made. */
export interface Located {
	readonly found: Found;
	readonly at: ReadonlyMap<EvidenceCode, readonly string[]>;
}

const isThere = (code: EvidenceCode, { found }: Located) => (found[code] ?? 0) > 0.5;

/** Whether a finding shows where a cause is: the cause produces it often or always. */
const locates = (code: EvidenceCode, cause: Cause): boolean =>
	(EVIDENCE[code] as EvidenceRule).by[cause] !== undefined &&
	['always', 'often'].includes(stepOf(code, cause));

/**
 * Returns the stations that a cause concerns by what was found there. A spring's bench test
 * outweighs a load read on the head.
 */
export function stationsOf(cause: Cause, located: Located): string[] {
	const isBenchTested = located.found['bench-low'] !== undefined;
	const codes = [...located.at.keys()].filter(
		(code) =>
			isThere(code, located) && locates(code, cause) && !(code === 'on-head-low' && isBenchTested)
	);
	return [...new Set(codes.flatMap((code) => located.at.get(code)!))];
}

/** Whether one cause may be a consequence of another by where they are: damage at one valve is none of what is found only at others. */
export function mayFollow(cause: Cause, root: Cause, located: Located): boolean {
	const [own, others] = [stationsOf(cause, located), stationsOf(root, located)];
	return own.length === 0 || others.length === 0 || own.some((at) => others.includes(at));
}

/** Findings on a spring by itself, which replace it; a load read on the head only asks for a bench test. */
const CONDEMNING: Readonly<Partial<Record<Cause, readonly EvidenceCode[]>>> = {
	'spring-lost-load': ['bench-low'],
	'mixed-springs': ['other-springs'],
	'corroded-spring': ['crack-at-pit', 'spring-cracked'],
	fatigue: ['service-over', 'spring-cracked', 'broken-near-end'],
	surge: ['spring-cracked', 'broken-near-end']
};

/** Returns the stations whose springs are to be replaced by the causes that are named. */
export const condemnedBy = (named: readonly NamedCause[], located: Located): string[] => [
	...new Set(
		named
			.flatMap(({ cause, or }) => [cause, ...or])
			.flatMap((cause) => CONDEMNING[cause] ?? [])
			.flatMap((code) => (isThere(code, located) ? (located.at.get(code) ?? []) : []))
	)
];
