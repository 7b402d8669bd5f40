import type { Column, Millimetres, Newtons, StationSheet, Units, Verdict } from '@zinc-ledger/core';
import { showLength, showLengthBeside, showLoad } from '@zinc-ledger/core';

/** What has a column besides the figures of the sheet: how it was built, and what was tried then. */
type AfterBuilding = 'preload' | 'built' | 'piston';
export type ColumnKey = Column | AfterBuilding;

export interface ColumnView {
	readonly key: ColumnKey;
	readonly title: string;
	readonly sort: 'length' | 'load';
}

/** The columns of the sheet as people read them. */
export const COLUMN_VIEWS: readonly ColumnView[] = [
	{ key: 'height', title: 'Installed height', sort: 'length' },
	{ key: 'seatLoad', title: 'Seat load', sort: 'load' },
	{ key: 'openLoad', title: 'Open load', sort: 'load' },
	{ key: 'bindMargin', title: 'Coil bind margin', sort: 'length' },
	{ key: 'sealClearance', title: 'Seal clearance', sort: 'length' },
	{ key: 'tipHeight', title: 'Tip height', sort: 'length' },
	{ key: 'rocker', title: 'Rocker clearance', sort: 'length' },
	{ key: 'lash', title: 'Lash', sort: 'length' },
	{ key: 'preload', title: 'Preload', sort: 'length' },
	{ key: 'built', title: 'As built', sort: 'length' },
	{ key: 'piston', title: 'Piston to valve', sort: 'length' }
];

type Judged = { readonly figures: Readonly<Record<Column, unknown>> } & Readonly<
	Record<AfterBuilding, unknown>
>;

/** What stands in a station's column, judged live or frozen. */
export const verdictIn = <S extends Judged>(
	station: S,
	key: ColumnKey
): S['figures'][Column] | S[AfterBuilding] =>
	key === 'preload' || key === 'built' || key === 'piston' ? station[key] : station.figures[key];

/** The columns a job has: no lash for hydraulic lifters, no tip height where nobody measured it. */
export const columnsFor = (stations: readonly StationSheet[]) =>
	COLUMN_VIEWS.filter(({ key }) => stations.some((station) => verdictIn(station, key) !== null));

/** What a figure is shown by: live or frozen. */
export interface Shown {
	readonly figure: number | null;
	readonly resolution?: number | undefined;
	readonly limit?: { readonly at: number } | null | undefined;
	readonly state: Verdict['state'];
}

/**
 * A verdict's figure in a person's units, to what its gauge resolves, and with a
 * digit more where it would read like the limit that it does not meet; null when
 * it is not known.
 */
export function showFigure(verdict: Shown | null, { sort }: ColumnView, units: Units) {
	if (verdict?.figure == null) return null;
	if (sort === 'load') return showLoad(verdict.figure as Newtons, units);
	const figure = verdict.figure as Millimetres;
	const resolution = verdict.resolution as Millimetres | undefined;
	return verdict.limit && verdict.state !== 'clear'
		? showLengthBeside(figure, verdict.limit.at as Millimetres, units, resolution)
		: showLength(figure, units, resolution);
}
