/** A lobe from its lift table: checked, smoothed, and with what the table's rounding leaves open (docs/trade/valvetrain.md#control). */
import { mm, type Millimetres } from '../../foundation/units/index.ts';
import { AT_REST, camDegrees, type Lobe } from './lobe.ts';
import { smoothed } from './smoothed.ts';

/** One line of a lift table: degrees of the cam from its nose, and lift at the lobe in mm. */
export interface TableLine {
	readonly degree: number;
	readonly lift: number;
}

/** What is the matter with a table. */
export const TABLE_FAULTS = [
	'too-few-lines',
	'one-angle-twice',
	'not-one-peak',
	'does-not-close',
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
	const peak = Math.max(...table.map(({ lift }) => lift));
	const onLobe = table.filter(({ lift }) => lift > CLOSED * peak);
	const faults: TableFault[] = [];
	if (onLobe.length < FEWEST) return ['too-few-lines'];
	if (table.some(({ degree }, i) => degree === table[i - 1]?.degree))
		faults.push('one-angle-twice');
	if (!hasOnePeak(table, roundingOf(table))) faults.push('not-one-peak');
	if (table[0]!.lift > CLOSED * peak || table.at(-1)!.lift > CLOSED * peak)
		faults.push('does-not-close');
	return faults;
}

/** Rises to its peak and falls from it, but for the last figure of what was read. */
function hasOnePeak(table: readonly TableLine[], rounding: number): boolean {
	const top = table.findIndex(({ lift }) => lift === Math.max(...table.map((one) => one.lift)));
	return table.every(({ lift }, i) => {
		const before = table[i - 1]?.lift ?? lift;
		return i <= top ? lift >= before - rounding * 1.01 : lift <= before + rounding * 1.01;
	});
}

/** A lobe read off its table. */
export interface TableLobe extends Lobe {
	readonly origin: 'table';
	/** Root mean square of table less curve, in mm, and what the table was rounded to. */
	readonly residual: number;
	readonly rounding: Millimetres;
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
	const curve = smoothed(
		places,
		table.map(({ lift }) => lift),
		rounding / Math.sqrt(12),
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
		isTooCoarse: NOSE.some(
			(angle) => uncertainty(angle) > TOO_COARSE * Math.abs(at(angle).acceleration)
		)
	};
}
