/** Readings that come as a list instead of from a gauge in the hand. */
import { v7 as uuid } from 'uuid';
import {
	inPlaceFor,
	type Job,
	type PastedFigure,
	type Person,
	type Quantity,
	type Reading
} from '@zinc-ledger/core';
import type { RoundBegun } from './round.svelte';

/** What is sent as a list. */
export const LISTED = [
	'installed-height',
	'seal-gap',
	'tip-height',
	'built-height',
	'on-head-load'
] as const satisfies readonly Quantity[];
export type Listed = (typeof LISTED)[number];

/**
 * The readings that a list stands for; several of one station are repeats of each other.
 *
 * @param begun what stood there and what was read with, answered as for a round
 */
export function readingsOf(
	figures: readonly PastedFigure[],
	quantity: Listed,
	{ parts, gauge }: Pick<RoundBegun, 'parts' | 'gauge'>,
	job: Job,
	person: Person
): Reading[] {
	const at = new Date().toISOString();
	const times = new Map<string, number>();
	for (const { station } of figures) times.set(station, (times.get(station) ?? 0) + 1);
	const sets = new Map([...times].filter(([, of]) => of > 1).map(([station]) => [station, uuid()]));
	return figures.flatMap(({ station, read }): Reading[] => {
		const entry = job.stations.find(({ label }) => label === station);
		if (!entry) return [];
		const set = sets.get(station);
		return [
			{
				id: uuid(),
				station,
				quantity,
				read,
				gauge,
				inPlace: inPlaceFor(job, entry, quantity, parts),
				from: 'list',
				...(set && { set }),
				person: person.id,
				at
			}
		];
	});
}
