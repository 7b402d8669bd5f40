import {
	showPhrase,
	type Finding,
	type Sheet,
	type StationPart,
	type Units
} from '@zinc-ledger/core';
import { capital } from '$lib/ui/words';

/** What the places of a stack are called on screen. */
export const PLACE_WORDS: Readonly<Record<StationPart, string>> = {
	valve: 'Valve',
	spring: 'Spring',
	retainer: 'Retainer',
	locks: 'Locks',
	locator: 'Locator',
	seal: 'Seal',
	lashCap: 'Lash cap',
	rocker: 'Rocker',
	lifter: 'Lifter'
};

/** Where a finding is: "Intake", or the stations with parts of their own. */
export const placeOf = ({ kind, stations }: Finding) =>
	stations.length > 0 ? stations.join(' ') : capital(kind);

export interface Told {
	readonly finding: Finding;
	/** "Intake, Exhaust" where both kinds have the same finding. */
	readonly places: string;
	readonly compared: string;
}

/** The stops and watches of fit as a sheet tells them: alike ones of both kinds together, stops first. */
export function toldOnSheet({ fit }: Sheet, units: Units): Told[] {
	const told = new Map<string, Told>();
	for (const finding of fit) {
		if (finding.outcome !== 'trips' || finding.severity === 'note') continue;
		const compared = showPhrase(finding.compared, units);
		const key = [finding.rule, compared, finding.acceptance?.reason].join('|');
		const before = told.get(key);
		const places = before ? `${before.places}, ${placeOf(finding)}` : placeOf(finding);
		told.set(key, { finding, places, compared });
	}
	const isStop = ({ finding }: Told) => Number(finding.severity === 'stop');
	return [...told.values()].toSorted((a, b) => isStop(b) - isStop(a));
}
