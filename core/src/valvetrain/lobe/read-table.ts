/**
 * A lift table as somebody hands it over: in degrees of the cam or the crankshaft, at the lobe
 * or the valve, from any zero, once round or from the nose to one side. What it does not say of
 * itself is guessed, told, and may be said otherwise (docs/trade/valvetrain.md#control).
 */
import { MM_PER, mm, type LengthUnit, type Millimetres } from '../../foundation/units/index.ts';
import { durationAt } from './lobe.ts';
import type { Duration } from './made-up.ts';
import { bothSides, roundingOf, tableFaults, tableLobe, type TableFault } from './table.ts';
import type { TableLine } from './table-line.ts';

/** What the figures of a table are. */
export interface TableMeaning {
	/** Columns of degrees and of lift, counted from 0. */
	readonly degree: number;
	readonly lift: number;
	readonly degrees: 'cam' | 'crank';
	readonly at: 'lobe' | 'valve';
	readonly unit: LengthUnit;
	/** Valve lift over lobe lift, for a table at the valve. */
	readonly ratio: number;
}

export interface TableGuess {
	/** Names of the columns; their numbers where they have none. */
	readonly columns: readonly string[];
	readonly meaning: TableMeaning;
	/** What the table says of itself; the rest is a guess. */
	readonly named: readonly (keyof TableMeaning)[];
}

type Rows = readonly (readonly string[])[];

/** A figure of a cell, with a point or a comma before its decimals; null for none. */
function figureIn(cell: string | undefined): number | null {
	const text = (cell ?? '').trim().replace('−', '-');
	if (text === '') return null;
	if (!/^[-+]?(\d+([.,]\d*)?|[.,]\d+)(e[-+]?\d{1,2})?$/i.test(text)) return null;
	return Number(text.replace(',', '.'));
}

/** Names of the columns in a first line that has no figures. */
function headingIn(rows: Rows): readonly string[] | null {
	const [first] = rows;
	return first && first.every((cell) => figureIn(cell) === null) ? first : null;
}

const DEGREE_NAMES = /deg|°|angle|crank|winkel/i;
const LIFT_NAMES = /lift|rise|hub/i;
/** A lobe that is open for longer than this, above a twentieth of its lift, is told in degrees of the crankshaft. */
const LONGEST_CAM = 190;
/** No lobe in inches rises further than this. */
const HIGHEST_INCHES = 1.2;

/** Every line that is figures in both columns, as it stands there. */
const pairsOf = (rows: Rows, degree: number, lift: number) =>
	rows.flatMap((row, i) => {
		const [angle, rise] = [figureIn(row[degree]), figureIn(row[lift])];
		return angle === null || rise === null ? [] : [{ line: i + 1, degree: angle, lift: rise }];
	});

/** More lines than this are no lift table: one every tenth of a degree has 3,600. */
export const MAX_TABLE_LINES = 4000;
/** No valve lifts further than this, in mm. */
const HIGHEST = 50;

/** What a table says of itself, and what is likely where it says nothing. */
export function guessTable(all: Rows): TableGuess {
	const rows = all.slice(0, MAX_TABLE_LINES);
	const names = headingIn(rows);
	const width = Math.max(0, ...rows.map((row) => row.length));
	const columns = Array.from({ length: width }, (_, i) => names?.[i]?.trim() || String(i + 1));
	const columnNamed = (pattern: RegExp) => columns.findIndex((name) => pattern.test(name));
	const [degreeNamed, liftNamed] = [columnNamed(DEGREE_NAMES), columnNamed(LIFT_NAMES)];
	const degree = Math.max(degreeNamed, 0);
	const lift = liftNamed >= 0 ? liftNamed : degree === 0 ? 1 : 0;
	const [degreeName, liftName] = [columns[degree] ?? '', columns[lift] ?? ''];
	const turn = /crank/i.test(degreeName) ? 'crank' : /cam/i.test(degreeName) ? 'cam' : null;
	const at = /valve/i.test(liftName) ? 'valve' : /lobe|cam|tappet/i.test(liftName) ? 'lobe' : null;
	const unit = /mm|millimet/i.test(liftName)
		? 'mm'
		: /\bin\b|inch|["″]/i.test(liftName)
			? 'in'
			: null;
	const pairs = pairsOf(rows, degree, lift);
	const peak = Math.max(0, ...pairs.map((pair) => pair.lift));
	// Counted, not from first to last: the lobe may lie across the end of its turn.
	const open = pairs.filter((pair) => pair.lift > 0.05 * peak).length;
	const degrees = pairs.map((pair) => pair.degree);
	const span = (open * (Math.max(...degrees) - Math.min(...degrees))) / (pairs.length - 1);
	const isHalf = pairs.length > 0 && pairs[0]!.lift === peak;
	const named: (keyof TableMeaning)[] = [
		...(degreeNamed >= 0 ? (['degree'] as const) : []),
		...(liftNamed >= 0 ? (['lift'] as const) : []),
		...(turn ? (['degrees'] as const) : []),
		...(at ? (['at'] as const) : []),
		...(unit ? (['unit'] as const) : [])
	];
	return {
		columns,
		meaning: {
			degree,
			lift,
			degrees: turn ?? (span * (isHalf ? 2 : 1) > LONGEST_CAM ? 'crank' : 'cam'),
			at: at ?? 'lobe',
			unit: unit ?? (peak > HIGHEST_INCHES ? 'mm' : 'in'),
			ratio: 1
		},
		named
	};
}

export interface TableRead {
	/** Degrees of the cam from the nose, and lift at the lobe above its base circle, in mm. */
	readonly lines: readonly TableLine[];
	/** Lines that are no figures, counted from 1. */
	readonly unread: readonly number[];
	readonly faults: readonly TableFault[];
	/** What the base circle read, and where the nose stood in the table's own degrees. */
	readonly zero: Millimetres;
	readonly nose: number;
	/** Whether one side stands for both. */
	readonly isOneSided: boolean;
}

/** Degrees of the cam that are kept beyond the lobe. */
const BEYOND = 8;
/** Nose and base circle are told by these parts of the peak. */
const NEAR = { nose: 0.98, base: 0.02 } as const;

/** The lines of a table, centred on the nose and counted from the base circle. */
export function readTable(rows: Rows, meaning: TableMeaning): TableRead {
	const heading = headingIn(rows) ? 1 : 0;
	const pairs = pairsOf(rows, meaning.degree, meaning.lift);
	const read = new Set(pairs.map(({ line }) => line));
	const unread = rows.flatMap((row, i) =>
		i < heading || read.has(i + 1) || row.every((cell) => cell.trim() === '') ? [] : [i + 1]
	);
	const none = { lines: [], unread, zero: mm(0), nose: 0, isOneSided: false };
	if (rows.length > MAX_TABLE_LINES) return { ...none, faults: ['too-many-lines'] };
	if (pairs.length === 0) return { ...none, faults: ['too-few-lines'] };
	if (!(meaning.ratio > 0)) return { ...none, faults: ['no-ratio'] };
	const perDegree = meaning.degrees === 'crank' ? 0.5 : 1;
	const perLift = MM_PER[meaning.unit] / (meaning.at === 'valve' ? meaning.ratio : 1);
	const scaled = pairs
		.map(({ degree, lift }) => ({ degree: degree * perDegree, lift: lift * perLift }))
		.toSorted((a, b) => a.degree - b.degree);
	const lifts = scaled.map(({ lift }) => lift);
	const [min, peak] = [Math.min(...lifts), Math.max(...lifts)];
	if (!(peak - min < HIGHEST)) return { ...none, faults: ['too-high'] };
	const top = scaled.findIndex(({ lift }) => lift === peak);
	const isOneSided = top === 0 || top === scaled.length - 1;
	// A table that begins above nothing on its base circle was read from another zero.
	const zero = min > 0 && min < NEAR.base * peak ? min : Math.min(0, min);
	const turned = isOneSided ? scaled : unwrapped(scaled, peak);
	const nose = isOneSided ? scaled[top]!.degree : middleOfNose(turned, peak);
	const lines = onLobe(
		turned.map(({ degree, lift }) => ({ degree: degree - nose, lift: lift - zero })),
		peak
	);
	return {
		lines,
		unread,
		faults: tableFaults(lines),
		zero: mm(zero),
		nose: nose / perDegree,
		isOneSided
	};
}

/** A lobe that lies across the end of its turn, put together. */
function unwrapped(table: readonly TableLine[], peak: number): readonly TableLine[] {
	const [first, last] = [table[0]!, table.at(-1)!];
	const isWhole = last.degree - first.degree > 300;
	if (!isWhole || (first.lift <= NEAR.base * peak && last.lift <= NEAR.base * peak)) return table;
	const low = table.flatMap(({ lift }, i) => (lift <= NEAR.base * peak ? [i] : []));
	// Cut where it is closed on both sides, so that both its ramps stay whole.
	const closed = low[Math.floor(low.length / 2)];
	if (closed === undefined) return table;
	const after = table.slice(closed);
	const step = (last.degree - first.degree) / (table.length - 1);
	const isTwice = last.degree - first.degree > 360 - step / 2;
	const before = table
		.slice(isTwice ? 1 : 0, closed)
		.map(({ degree, lift }) => ({ degree: degree + 360, lift }));
	return [...after, ...before];
}

/** Half way between the places where the lobe comes near its peak and leaves it, by straight lines. */
function middleOfNose(table: readonly TableLine[], peak: number): number {
	const level = NEAR.nose * peak;
	const high = table.flatMap(({ lift }, i) => (lift >= level ? [i] : []));
	const crossing = (inside: number, outside: number) => {
		const [a, b] = [table[inside]!, table[outside]];
		if (!b || a.lift === b.lift) return a.degree;
		return a.degree + ((a.lift - level) / (a.lift - b.lift)) * (b.degree - a.degree);
	};
	return (crossing(high[0]!, high[0]! - 1) + crossing(high.at(-1)!, high.at(-1)! + 1)) / 2;
}

/** The lobe with a little of its base circle: the rest says nothing. */
function onLobe(table: readonly TableLine[], peak: number): readonly TableLine[] {
	const open = table
		.filter(({ lift }) => lift > (NEAR.base * peak) / 4)
		.map(({ degree }) => degree);
	const [from, to] = [Math.min(...open) - BEYOND, Math.max(...open) + BEYOND];
	return table
		.filter(({ degree }) => degree >= from && degree <= to)
		.map(({ degree, lift }) => ({
			degree: Number(degree.toFixed(4)),
			lift: Number(Math.max(0, lift).toFixed(6))
		}));
}

/** A duration as the card has it beside that of the table, in degrees of the crankshaft. */
export interface DurationCheck extends Duration {
	readonly ofTable: number;
}

/** A table's lift may differ by this part from its card's. */
export const LIFT_AGREES = 0.01;
/** A table's durations may differ by this many degrees of the crankshaft from its card's. */
export const DURATION_AGREES = 3;

/**
 * The lobe of a table that is free of faults, with what can be said of it.
 *
 * @param card durations and lift that its card promises
 */
export function checkTable(lines: readonly TableLine[], card: readonly Duration[]) {
	const lobe = tableLobe(lines);
	return {
		lobe,
		rounding: roundingOf(bothSides(lines)),
		durations: card.map((one): DurationCheck => ({ ...one, ofTable: durationAt(lobe, one.lift) }))
	};
}
