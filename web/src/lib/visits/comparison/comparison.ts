/** Changes since the last visit as a table shows them: texts in the reader's units, and which changes count. */
import {
	isBeyond,
	mm,
	newtons,
	ownChange,
	TRACES,
	type Cause,
	type Happening,
	type InCommon,
	type LoadsInCommon,
	type Moved,
	type Explanation,
	type State,
	type StationComparison,
	type Trace
} from '@zinc-ledger/core';
import { label } from '@zinc-ledger/words';
import type { Bench } from '$lib/bench/bench.svelte';

export type Reader = Pick<Bench, 'length' | 'load'>;
/** A reader that also names its units. */
export type UnitReader = Pick<Bench, 'length' | 'load' | 'units'>;

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

/** "seat or valve face sank 0.016 in and tip worn 0.012 in" */
export const explanationText = (
	{ happened }: Pick<Explanation, 'happened'>,
	reader: UnitReader
): string =>
	happened
		.map(({ happening, amount }) => {
			const trace = happening === 'spring-sagged' ? 'load' : 'height';
			return `${label('happening', happening)} ${figureText(trace, amount, reader)} ${unitOf(trace, reader)}`;
		})
		.join(' and ');

/** The unit that a quantity is shown in. */
export const unitOf = (trace: Trace, { units }: Pick<Bench, 'units'>): string =>
	trace === 'load' ? units.load : units.length;

/** What changed at a valve by itself, beyond what all valves share. */
export const ownChanges = (
	{ moved }: StationComparison,
	common: readonly InCommon[],
	loads: LoadsInCommon | null
): (readonly [Trace, Moved])[] =>
	TRACES.flatMap((trace) => {
		const compared = moved[trace];
		const own = compared && ownChange(trace, compared, common, loads);
		return own && isBeyond(own) ? [[trace, own] as const] : [];
	});

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

/** The cause of a complaint that each change of a valve belongs to. */
export const CAUSE_OF: Readonly<Record<Happening, Cause>> = {
	'seat-sank': 'height-grew',
	'stem-stretched': 'stem-stretched',
	'locks-pulled': 'locks-pulled',
	'tip-worn': 'lash-opened',
	'landing-worn': 'unlisted',
	'spring-sagged': 'spring-lost-load',
	'adjuster-opened': 'adjuster-loose',
	'lobe-worn': 'lobe-worn'
};

export const FITS_NONE = 'fits no known cause';
/** The measurement that tells causes apart that fit equally well. */
export const partsText = (trace: Trace): string =>
	`measure ${label('trace', trace)} to tell them apart`;
