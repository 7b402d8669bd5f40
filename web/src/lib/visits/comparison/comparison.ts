/** Then and now as a table has it: texts in somebody's units, and what of them is news. */
import {
	isBeyond,
	mm,
	newtons,
	TRACES,
	type Moved,
	type Explanation,
	type State,
	type StationComparison,
	type Trace
} from '@zinc-ledger/core';
import { label } from '@zinc-ledger/words';
import type { Bench } from '$lib/bench/bench.svelte';

export type Reader = Pick<Bench, 'length' | 'load'>;

/** Quantities that any station can be compared in, in the order of the table. */
export const shownTraces = (stations: readonly StationComparison[]): Trace[] =>
	TRACES.filter((trace) => stations.some(({ moved }) => moved[trace]));

export const figureText = (trace: Trace, value: number, { length, load }: Reader): string =>
	trace === 'load' ? load(newtons(value)) : length(mm(value));

/** A change with its sign. */
export function changeText(trace: Trace, change: Moved, reader: Reader): string {
	const text = figureText(trace, Math.abs(change.by), reader);
	return `${change.by < 0 ? '−' : '+'}${text}`;
}

/** Whether anything at a station moved further than it was read to. */
export const hasMoved = ({ moved }: StationComparison): boolean =>
	Object.values(moved).some(({ change }) => isBeyond(change));

/** "seat sank 0.016 and tip worn 0.012" */
export const explanationText = (
	{ happened }: Pick<Explanation, 'happened'>,
	reader: Reader
): string =>
	happened
		.map(
			({ happening, amount }) =>
				`${label('happening', happening)} ${figureText(happening === 'spring-sagged' ? 'load' : 'height', amount, reader)}`
		)
		.join(' and ');

/** Which valves a table is narrowed to. */
export const COMPARISON_FILTERS = ['all', 'moved', 'lost', 'grown'] as const;
export type ComparisonFilter = (typeof COMPARISON_FILTERS)[number];

/** Whether a valve is one of those: any quantity moved, its load fell, its height grew. */
export function isAmong(filter: ComparisonFilter, station: StationComparison): boolean {
	const { moved, losses } = station;
	switch (filter) {
		case 'all':
			return true;
		case 'moved':
			return hasMoved(station);
		case 'grown':
			return moved.height !== undefined && moved.height.change.by > moved.height.change.uncertainty;
		case 'lost':
			return (
				(losses !== null && losses.all.by > losses.all.uncertainty) ||
				(moved.load !== undefined && -moved.load.change.by > moved.load.change.uncertainty)
			);
	}
}

/** How a valve stands in the plan: moved, as it was, or not compared. */
export function comparisonState(station: StationComparison | undefined): State {
	if (!station || Object.keys(station.moved).length === 0) return 'not-measured';
	return hasMoved(station) ? 'watch' : 'clear';
}

export const FITS_NONE = 'fits none of what is known';
/** What would part causes that fit alike. */
export const partsText = (trace: Trace): string => `${label('trace', trace)} would part them`;
