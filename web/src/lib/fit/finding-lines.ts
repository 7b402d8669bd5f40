import { type Finding, type Sheet, type Units } from '@zinc-ledger/core';
import { capital } from '$lib/ui/words';
import { label, write } from '@zinc-ledger/words';

/** Where a finding is: "Intake", or the stations with parts of their own. */
export const placeOf = ({ kind, stations }: Finding) =>
	stations.length > 0 ? stations.join(' ') : capital(label('kind', kind));

export interface FindingLine {
	readonly finding: Finding;
	/** "Intake, Exhaust" where both kinds have the same finding. */
	readonly places: string;
	readonly compared: string;
}

/** The stops and watches of fit as a sheet shows them: alike ones of both kinds together, stops first. */
export function findingLines({ fit }: Sheet, units: Units): FindingLine[] {
	const lines = new Map<string, FindingLine>();
	for (const finding of fit) {
		if (finding.outcome !== 'fails' || finding.severity === 'note') continue;
		const compared = write(finding.compared, units);
		const key = [finding.rule, compared, finding.acceptance?.reason].join('|');
		const before = lines.get(key);
		const places = before ? `${before.places}, ${placeOf(finding)}` : placeOf(finding);
		lines.set(key, { finding, places, compared });
	}
	const isStop = ({ finding }: FindingLine) => Number(finding.severity === 'stop');
	return [...lines.values()].toSorted((a, b) => isStop(b) - isStop(a));
}
