/**
 * Every judged figure of a station, in the order of the sheet. Screens, paper,
 * PDF, CSV, the command line, signing, what-if and plan read this list. A new
 * figure takes four files: its own beside this one, a line here, its name in
 * words/src/en/labels.ts, and its explanation in words/src/en/help.ts.
 */
import { asBuiltHeight } from './as-built-height.ts';
import { bareHeight } from './bare-height.ts';
import { bindMargin } from './bind-margin.ts';
import { controlLimit } from './control-limit.ts';
import type { Figure } from './figure.ts';
import { headLoad } from './head-load.ts';
import { INSPECTED_FIGURES } from './inspected.ts';
import { installedHeight } from './installed-height.ts';
import { lash } from './lash.ts';
import { loadLoss } from './load-loss.ts';
import { netSeatLoad } from './net-seat-load.ts';
import { openLoad } from './open-load.ts';
import { pistonToValve } from './piston-to-valve.ts';
import { preload } from './preload.ts';
import { rockerClearance } from './rocker-clearance.ts';
import { sealClearance } from './seal-clearance.ts';
import { seatLoad } from './seat-load.ts';
import { tipHeight } from './tip-height.ts';
import { vacuum } from './vacuum.ts';

export const FIGURES = {
	bare: bareHeight,
	height: installedHeight,
	seatLoad,
	openLoad,
	bindMargin,
	sealClearance,
	tipHeight,
	rocker: rockerClearance,
	lash,
	preload,
	built: asBuiltHeight,
	piston: pistonToValve,
	headLoad,
	loss: loadLoss,
	netSeatLoad,
	controlLimit,
	vacuum,
	...INSPECTED_FIGURES
} as const satisfies Record<string, Figure>;

export type FigureName = keyof typeof FIGURES;
/** The judged figures of one station. */
export type Figures = {
	readonly [F in FigureName]: ReturnType<(typeof FIGURES)[F]['verdict']>;
};

export const FIGURE_NAMES = Object.keys(FIGURES) as FigureName[];

/** The columns of the sheet, in order. */
export const COLUMNS = FIGURE_NAMES.filter((name) => FIGURES[name].isColumn);

/** The figures in the order in which they are told: what breaks engines first. */
export const TELLING_ORDER: readonly FigureName[] = FIGURE_NAMES.toSorted(
	(a, b) => Number(isForemost(b)) - Number(isForemost(a))
);

function isForemost(name: FigureName): boolean {
	const { isForemost: foremost = false }: Figure = FIGURES[name];
	return foremost;
}
