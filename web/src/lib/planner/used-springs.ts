/** Springs that ran, for the plan of a visit: which go, what may come in their place, and what a plan costs. */
import {
	fatesOf,
	partsOf,
	planSides,
	springsToReplace,
	thenAndNow,
	type Job,
	type LibraryPart,
	type NewSprings,
	type PlannedStation,
	type PlanSides,
	type Sheet,
	wornSprings
} from '@zinc-ledger/core';

export interface UsedSprings {
	/** Stations whose spring is not used again. */
	readonly replaced: readonly string[];
	/** Springs that go in nowhere. */
	readonly worn: readonly { readonly tag: string; readonly card: string }[];
	readonly newSprings: readonly NewSprings[];
	readonly sidesOf: (planned: readonly PlannedStation[]) => PlanSides;
}

/**
 * What the plan of a visit has to know of its springs.
 *
 * @param signed the job frozen in the last signed sheet
 * @param life what their springs have run of their life, by station
 * @param library spring cards with their stock
 * @returns null where no spring ran, as on a job that is no visit
 */
export function usedSpringsOf(
	job: Job,
	sheet: Sheet,
	signed: Job | null,
	life: readonly { readonly station: string; readonly used: number | null }[],
	library: readonly LibraryPart<'spring'>[]
): UsedSprings | null {
	if (!signed) return null;
	const lives = new Map(
		life.flatMap(({ station, used }) => (used === null ? [] : [[station, used]]))
	);
	const fates = fatesOf(job, sheet, thenAndNow(signed, job), lives);
	const cards = new Set(job.stations.map((entry) => partsOf(job.setup, entry).spring?.id));
	const known = library.filter(({ part, retired }) => cards.has(part.id) && !retired);
	return {
		replaced: springsToReplace(job, fates),
		worn: wornSprings(job, fates),
		newSprings: known.map(({ part: { id, name }, stock }) => ({ card: id, name, count: stock })),
		sidesOf: (planned) =>
			planSides(
				job,
				planned,
				fates,
				(card) => known.find(({ part }) => part.id === card)?.part.price ?? null
			)
	};
}
