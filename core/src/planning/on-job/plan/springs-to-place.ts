/** Which tested springs a plan may choose places for. */
import { partsOf, springAt, type Job, type TaggedSpring } from '../../../job/document/index.ts';
import type { PlanQuestion } from './types.ts';

/**
 * The tested springs that a plan may choose places for: those of a card of which there are as
 * many as valves that want it. A sample of a set says what its springs are like, and is no set.
 *
 * @param isFixed stations that keep the spring they have
 * @param used stations whose spring is not to be used again, and the new ones there are instead
 */
export function springsToPlace(
	{ setup, stations }: Pick<Job, 'setup' | 'stations'>,
	isFixed: ReadonlySet<string> = new Set(),
	{
		replaced = [],
		worn = [],
		newSprings = []
	}: Pick<PlanQuestion, 'replaced' | 'worn' | 'newSprings'> = {}
): readonly TaggedSpring[] {
	// Springs of two sets may have the same tags: the card tells which is meant.
	const kept = new Set(
		stations.flatMap((entry) =>
			isFixed.has(entry.label) || replaced.includes(entry.label)
				? (springAt(setup, entry) ?? [])
				: []
		)
	);
	const isWorn = ({ tag, card }: TaggedSpring) =>
		worn.some((one) => one.tag === tag && one.card === card);
	const free = (setup.springs ?? []).filter((one) => !kept.has(one) && !isWorn(one));
	const wanted = stations.flatMap((entry) =>
		isFixed.has(entry.label) ? [] : (partsOf(setup, entry).spring?.id ?? [])
	);
	const countOf = (ids: readonly string[], id: string) => ids.filter((one) => one === id).length;
	const cards = free.map(({ card }) => card);
	const newOf = (id: string) => {
		const fresh = newSprings.find(({ card }) => card === id);
		return fresh ? (fresh.count ?? Number.POSITIVE_INFINITY) : 0;
	};
	return free.filter(({ card }) => countOf(cards, card) + newOf(card) >= countOf(wanted, card));
}
