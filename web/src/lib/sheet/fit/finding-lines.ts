import type { Kind, RuleId } from '@zinc-ledger/core';
import { label } from '@zinc-ledger/words';
import { capital } from '$lib/ui/words';

/** A finding of fit as a list of them needs it: live or signed. */
interface Told {
	readonly rule: RuleId;
	readonly kind: Kind;
	readonly stations: readonly string[];
	readonly outcome: string;
	readonly severity: 'stop' | 'watch' | 'note';
	readonly acceptance: { readonly reason: string } | null;
}

/** Where a finding is: "Intake", or the stations with parts of their own. */
export const placeOf = ({ kind, stations }: Pick<Told, 'kind' | 'stations'>) =>
	stations.length > 0 ? stations.join(' ') : capital(label('kind', kind));

export interface FindingLine<F> {
	readonly finding: F;
	/** "Intake, Exhaust" where both kinds have the same finding. */
	readonly places: string;
	readonly compared: string;
}

/** The stops and watches of fit as a sheet shows them: alike ones of both kinds together, stops first. */
export function findingLines<F extends Told>(
	fit: readonly F[],
	comparedBy: (finding: F) => string
): FindingLine<F>[] {
	const lines = new Map<string, FindingLine<F>>();
	for (const finding of fit) {
		if (finding.outcome !== 'fails' || finding.severity === 'note') continue;
		const compared = comparedBy(finding);
		const key = [finding.rule, compared, finding.acceptance?.reason].join('|');
		const before = lines.get(key);
		const places = before ? `${before.places}, ${placeOf(finding)}` : placeOf(finding);
		lines.set(key, { finding, places, compared });
	}
	const isStop = ({ finding }: FindingLine<F>) => Number(finding.severity === 'stop');
	return [...lines.values()].toSorted((a, b) => isStop(b) - isStop(a));
}
