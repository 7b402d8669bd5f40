/** The columns of the sheet as people read them: the registry's figures, with their names. */
import type {
	CubicCentimetres,
	FigureDimension,
	FigureName,
	Figures,
	Millimetres,
	Newtons,
	RevolutionsPerMinute,
	ScaleLimit,
	Units,
	Verdict
} from '@zinc-ledger/core';
import {
	COLUMNS,
	FIGURE_NAMES,
	FIGURES,
	INSPECTED,
	INSPECTED_FIGURE,
	showLength,
	showLengthInBoth,
	showLoad,
	showSpeed,
	showVolume
} from '@zinc-ledger/core';
import { label } from '@zinc-ledger/words';

export interface ColumnView {
	readonly key: FigureName;
	readonly title: string;
	readonly dimension: FigureDimension;
}

/** A figure as a column: its name, and what it is measured in. */
export const columnOf = (key: FigureName): ColumnView => ({
	key,
	title: label('figure', key),
	dimension: FIGURES[key].dimension
});

export const COLUMN_VIEWS: readonly ColumnView[] = COLUMNS.map(columnOf);

/** Figures of an inspection, as columns of a table of their own. */
export const INSPECTED_VIEWS: readonly ColumnView[] = INSPECTED.map((quantity) =>
	columnOf(INSPECTED_FIGURE[quantity])
);

/** The unit that a column is read in. */
export const unitOfColumn = ({ dimension }: ColumnView, units: Units): string => {
	if (dimension === 'volume') return 'cc';
	if (dimension === 'speed') return 'rpm';
	return dimension === 'load' ? units.load : units.length;
};

/** What stands in a station's column. */
export const verdictIn = ({ figures }: { readonly figures: Figures }, key: FigureName) =>
	figures[key] as Verdict | null;

interface Judged {
	readonly state: Verdict['state'];
	readonly figures: Figures;
}

/**
 * How a station stands, in words: "clear so far" only where something was judged and is clear;
 * a figure that nothing could judge clears nothing.
 */
export const stateInWords = ({ state, figures }: Judged): string =>
	state === 'not-measured' && FIGURE_NAMES.some((name) => figures[name]?.state === 'clear')
		? 'clear so far'
		: label('state', state);

/** The columns a job has: no lash for hydraulic lifters, no tip height where nobody measured it. */
export const columnsFor = (stations: readonly { readonly figures: Figures }[]) =>
	COLUMN_VIEWS.filter(({ key }) => stations.some(({ figures }) => figures[key] !== null));

/** What a figure is shown by: live or frozen. */
export interface Shown {
	readonly figure: number | null;
	readonly resolution?: number | undefined;
	readonly limit?: { readonly at: number } | null | undefined;
	readonly limits?: readonly ScaleLimit[] | undefined;
	readonly state: Verdict['state'];
}

/**
 * A verdict's figure in a person's units, to what its gauge resolves, and with a
 * digit more where it would read like the limit that it does not meet; null when
 * it is not known.
 */
export function showFigure(verdict: Shown | null, { dimension }: ColumnView, units: Units) {
	if (verdict?.figure == null) return null;
	if (dimension === 'load') return showLoad(verdict.figure as Newtons, units);
	if (dimension === 'speed') return showSpeed(verdict.figure as RevolutionsPerMinute);
	if (dimension === 'volume') return showVolume(verdict.figure as CubicCentimetres);
	const figure = verdict.figure as Millimetres;
	const resolution = verdict.resolution as Millimetres | undefined;
	return verdict.limit && verdict.state !== 'clear'
		? showLengthInBoth(figure, verdict.limit.at as Millimetres, units, resolution)
		: showLength(figure, units, resolution);
}
