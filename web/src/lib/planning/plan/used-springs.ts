/** Springs that ran, for the plan of a visit: which go, what may come in their place, and what a plan costs. */
import {
	fatesOf,
	planSides,
	springCards,
	springsToReplace,
	visitComparison,
	wornSprings,
	type Job,
	type LibraryPart,
	type PlannedStation,
	type PlanQuestion,
	type PlanSides,
	type Sheet
} from '@zinc-ledger/core';

export interface UsedSprings {
	/** What a plan is told of them. */
	readonly ran: Required<Pick<PlanQuestion, 'replaced' | 'worn' | 'newSprings'>>;
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
	const fates = fatesOf(job, sheet, visitComparison(signed, job), lives);
	const cards = new Set(springCards(job).values());
	const known = library.filter(({ part, retired }) => cards.has(part.id) && !retired);
	return {
		ran: {
			replaced: springsToReplace(job, fates),
			worn: wornSprings(job, fates),
			newSprings: known.map(({ part: { id, name }, stock }) => ({ card: id, name, count: stock }))
		},
		sidesOf: (planned) =>
			planSides(
				job,
				planned,
				fates,
				(card) => known.find(({ part }) => part.id === card)?.part.price ?? null
			)
	};
}
