/** The columns of the sheet as people read them: the registry's figures, with their names. */
import type {
	FigureName,
	Figures,
	Millimetres,
	Newtons,
	ScaleLimit,
	Units,
	Verdict
} from '@zinc-ledger/core';
import {
	COLUMNS,
	FIGURE_NAMES,
	FIGURES,
	showLength,
	showLengthBeside,
	showLoad
} from '@zinc-ledger/core';
import { label } from '@zinc-ledger/words';

export interface ColumnView {
	readonly key: FigureName;
	readonly title: string;
	readonly dimension: 'length' | 'load' | 'pressure';
}

export const COLUMN_VIEWS: readonly ColumnView[] = COLUMNS.map((key) => ({
	key,
	title: label('figure', key),
	dimension: FIGURES[key].dimension
}));

/** What stands in a station's column. */
export const verdictIn = ({ figures }: { readonly figures: Figures }, key: FigureName) =>
	figures[key] as Verdict | null;

interface Standing {
	readonly state: Verdict['state'];
	readonly figures: Figures;
}

/**
 * How a station stands, in words: "clear so far" only where something was judged and is clear;
 * a figure that nothing could judge clears nothing.
 */
export const standing = ({ state, figures }: Standing): string =>
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
	const figure = verdict.figure as Millimetres;
	const resolution = verdict.resolution as Millimetres | undefined;
	return verdict.limit && verdict.state !== 'clear'
		? showLengthBeside(figure, verdict.limit.at as Millimetres, units, resolution)
		: showLength(figure, units, resolution);
}
