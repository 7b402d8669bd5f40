/** A lobe from its lift table: checked, smoothed, and with what the table's rounding leaves open (docs/trade/valvetrain.md#control). */
import { mm, type Millimetres } from '../../foundation/units/index.ts';
import { AT_REST, camDegrees, type Lobe } from './lobe.ts';
import { scatterOf, wrongLines } from './scatter.ts';
import { smoothed } from './smoothed.ts';
import type { TableLine } from './table-line.ts';

/** What is the matter with a table. */
export const TABLE_FAULTS = [
	'too-few-lines',
	'one-angle-twice',
	'not-one-peak',
	'does-not-close',
	'lines-missing',
	'wrong-figure',
	'inches-as-mm',
	'too-many-lines',
	'no-ratio',
	'too-high'
] as const;
export type TableFault = (typeof TABLE_FAULTS)[number];

/** What instruments and tables show, in mm: tenths to thousandths of a millimetre, hundredths to ten-thousandths of an inch. */
const ROUNDINGS = [
	0.5, 0.254, 0.25, 0.127, 0.1, 0.05, 0.0254, 0.0127, 0.01, 0.005, 0.00254, 0.001, 0.000254, 0.0001
] as const;
/** Fewer lines than this on the lobe draw no curve. */
const FEWEST = 12;
/** Ends of a table lie no higher than this part of its peak. */
const CLOSED = 0.05;
/** A cell of the spline, in degrees of the cam, where the table's own step is not less. */
const CELL = 2;
/** Lines lie no further apart than this many times their usual distance, or this many degrees of the cam. */
const GAP = { times: 2.5, degrees: 6 } as const;
/** No lobe is lower than this, in mm: figures below it are inches. */
const LOWEST = 2;
/** A table falls on its way to the peak by no more than this many standard deviations of its figures. */
const FALLS = 4;
/** Acceleration known no better than this part of itself about the nose tells nothing of springs. */
const TOO_COARSE = 0.2;
/** About the nose, in radians of the cam: where a spring has most to hold. */
const NOSE = [-0.3, -0.15, 0, 0.15, 0.3];

/** A table from its nose to one side only is taken to be the same on the other. */
export function bothSides(lines: readonly TableLine[]): readonly TableLine[] {
	const sorted = lines.toSorted((a, b) => a.degree - b.degree);
	const isOneSided =
		sorted.every(({ degree }) => degree >= 0) || sorted.every(({ degree }) => degree <= 0);
	if (!isOneSided) return sorted;
	const other = sorted.flatMap(({ degree, lift }) =>
		degree === 0 ? [] : [{ degree: -degree, lift }]
	);
	return [...sorted, ...other].toSorted((a, b) => a.degree - b.degree);
}

/**
 * The step that all lifts of a table are whole multiples of: what it was rounded to.
 *
 * @returns mm; the least of what instruments show where none fits
 */
export function roundingOf(lines: readonly TableLine[]): Millimetres {
	const fits = ROUNDINGS.find((step) =>
		lines.every(({ lift }) => Math.abs(lift / step - Math.round(lift / step)) < 1e-4 + 1e-9 / step)
	);
	return mm(fits ?? ROUNDINGS.at(-1)!);
}

/** What keeps a table from being a lobe; empty where nothing does. */
export function tableFaults(lines: readonly TableLine[]): TableFault[] {
	const table = bothSides(lines);
	const peak = peakOf(table);
	const faults: TableFault[] = [];
	const lobe = onLobe(table);
	if (lobe.length < FEWEST) return ['too-few-lines'];
	if (peak < LOWEST) return ['inches-as-mm'];
	const scatter = tableScatter(table);
	if (table.some(({ degree }, i) => degree === table[i - 1]?.degree)) return ['one-angle-twice'];
	if (!hasOnePeak(table, Math.max(roundingOf(table) * 1.01, FALLS * scatter)))
		faults.push('not-one-peak');
	if (table[0]!.lift > CLOSED * peak || table.at(-1)!.lift > CLOSED * peak)
		faults.push('does-not-close');
	if (tableGaps(table).length > 0) faults.push('lines-missing');
	// A table with two peaks or a gap has no neighbors to compare with.
	if (faults.length === 0 && wrongLines(lobe, scatter).length > 0) faults.push('wrong-figure');
	return faults;
}

const peakOf = (table: readonly TableLine[]) => Math.max(...table.map(({ lift }) => lift));

/** The lines above a twentieth of the lift: what is below scatters less. */
function onLobe(table: readonly TableLine[]): readonly TableLine[] {
	const peak = peakOf(table);
	return table.filter(({ lift }) => lift > CLOSED * peak);
}

const tableScatter = (table: readonly TableLine[]): Millimetres =>
	scatterOf(onLobe(table), roundingOf(table));

/** Lines on the lobe whose lift does not fit that of their neighbors, the worst first. */
export function wrongFigures(lines: readonly TableLine[]): readonly TableLine[] {
	const table = bothSides(lines);
	return wrongLines(onLobe(table), tableScatter(table));
}

/** Where lines are missing on the lobe: the angles before and after each gap, in degrees of the cam. */
export function tableGaps(lines: readonly TableLine[]): (readonly [number, number])[] {
	const angles = onLobe(bothSides(lines)).map(({ degree }) => degree);
	const steps = angles.slice(1).map((angle, i) => angle - angles[i]!);
	const usual = steps.toSorted((a, b) => a - b)[steps.length >> 1] ?? 0;
	const widest = Math.max(GAP.degrees, GAP.times * usual);
	return steps.flatMap((step, i) => (step > widest ? [[angles[i]!, angles[i + 1]!] as const] : []));
}

/** Rises to its peak and falls from it, but for so much that its figures scatter. */
function hasOnePeak(table: readonly TableLine[], within: number): boolean {
	const top = table.findIndex(({ lift }) => lift === peakOf(table));
	return table.every(({ lift }, i) => {
		const before = table[i - 1]?.lift ?? lift;
		return i <= top ? lift >= before - within : lift <= before + within;
	});
}

/** A lobe read off its table. */
export interface TableLobe extends Lobe {
	readonly origin: 'table';
	/** Root mean square of table less curve, in mm. */
	readonly residual: number;
	/** What the table was rounded to. */
	readonly rounding: Millimetres;
	/** Standard deviation of its figures, in mm. */
	readonly scatter: Millimetres;
	/** Whether its acceleration is known too badly to say anything of springs. */
	readonly isTooCoarse: boolean;
}

/**
 * The lobe of a table.
 *
 * @param lines at least a dozen on the lobe, from one side of the nose or from both
 * @throws RangeError for a table with faults, see {@link tableFaults}
 */
export function tableLobe(lines: readonly TableLine[]): TableLobe {
	const faults = tableFaults(lines);
	if (faults.length > 0) throw new RangeError(`no lobe: ${faults.join(', ')}`);
	const table = bothSides(lines);
	const rounding = roundingOf(table);
	const places = table.map(({ degree }) => degree);
	const step = (places.at(-1)! - places[0]!) / (places.length - 1);
	const scatter = tableScatter(table);
	const curve = smoothed(
		places,
		table.map(({ lift }) => lift),
		scatter,
		Math.min(step, CELL)
	);
	const perRadian = 1 / camDegrees(1);
	const [opens, closes] = [camDegrees(places[0]!), camDegrees(places.at(-1)!)];
	const at = (angle: number) => {
		if (angle < opens || angle > closes) return AT_REST;
		const degree = angle * perRadian;
		return {
			lift: curve.at(degree),
			velocity: curve.at(degree, 1) * perRadian,
			acceleration: curve.at(degree, 2) * perRadian ** 2,
			jerk: curve.at(degree, 3) * perRadian ** 3
		};
	};
	const uncertainty = (angle: number) => curve.uncertainty(angle * perRadian, 2) * perRadian ** 2;
	return {
		origin: 'table',
		peak: mm(Math.max(...table.map(({ degree }) => curve.at(degree)))),
		opens,
		closes,
		at,
		uncertainty,
		residual: curve.residual,
		rounding,
		scatter,
		isTooCoarse: NOSE.some(
			(angle) => uncertainty(angle) > TOO_COARSE * Math.abs(at(angle).acceleration)
		)
	};
}
