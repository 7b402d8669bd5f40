/** Sweeps as CSV: the columns are recognised by their names and units, or asked for. */
import Papa from 'papaparse';
import { v7 as uuid } from 'uuid';
import { sweepPoints, withTravel, type Sweep } from '@zinc-ledger/core';
import { mm, newtons } from '@zinc-ledger/core';
import { message, type Problem } from '@zinc-ledger/core';

export interface Columns {
	readonly height: number;
	readonly load: number;
	readonly heightUnit: Sweep['heightUnit'];
	readonly loadUnit: Sweep['loadUnit'];
}

export type SweepCsv =
	| { type: 'read'; points: Sweep['points']; columns: Columns }
	| { type: 'ask'; names: readonly string[]; guess: Partial<Columns> }
	| { type: 'wrong'; problems: readonly Problem[] };

type Said<U> = readonly (readonly [RegExp, U])[];
/** What people write of a unit in a heading; "in" stands last, for it is a word as well. */
const HEIGHT_SAID: Said<Sweep['heightUnit']> = [
	[/\bmm\b|millimet/i, 'mm'],
	[/\bthou\b|\bmils?\b|thousandth/i, 'in'],
	[/\bin\b|inch|["″”]/i, 'in']
];
const LOAD_SAID: Said<Sweep['loadUnit']> = [
	[/\blbf?s?\b|pound|#/i, 'lbf'],
	[/\bkgf?s?\b|\bkp\b|kilogram/i, 'kgf'],
	[/\bn\b|newton/i, 'N']
];
/** "load_kgf" is two words. */
const words = (name: string) => name.replaceAll('_', ' ');
const unitIn = <U>(name: string, stated: Said<U>): U | undefined =>
	stated.find(([pattern]) => pattern.test(words(name)))?.[1];
/** Heights in thousandths of an inch, as the heading says. */
const inThousandths = (name: string) =>
	HEIGHT_SAID.find(([pattern]) => pattern.test(words(name))) === HEIGHT_SAID[1];

/** What the names of the columns say of themselves. */
function guessed(names: readonly string[]): Partial<Columns> {
	const find = (pattern: RegExp) => {
		const at = names.findIndex((name) => pattern.test(name));
		return at < 0 ? undefined : at;
	};
	const height = find(/height|length|hoogte|höhe|^h\b/i);
	const load = find(/load|force|pressure|kraft|^f\b/i);
	const heightUnit = height === undefined ? undefined : unitIn(names[height]!, HEIGHT_SAID);
	const loadUnit = load === undefined ? undefined : unitIn(names[load]!, LOAD_SAID);
	return {
		...(height !== undefined && { height }),
		...(load !== undefined && { load }),
		...(heightUnit && { heightUnit }),
		...(loadUnit && { loadUnit })
	};
}

const isWhole = (columns: Partial<Columns>): columns is Columns =>
	columns.height !== undefined &&
	columns.load !== undefined &&
	columns.height !== columns.load &&
	!!columns.heightUnit &&
	!!columns.loadUnit;

/** A sweep has no more points than the longest kept pull. */
const MAX_ROWS = 50_001;

/**
 * Reads a sweep from CSV.
 *
 * @param described columns and units as somebody said them; what is not told is recognised
 */
export function sweepFromCsv(text: string, stated: Partial<Columns> = {}): SweepCsv {
	const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
		skipEmptyLines: 'greedy',
		preview: MAX_ROWS
	});
	const [first = [], ...rest] = data;
	if (rest.length === 0) {
		return { type: 'wrong', problems: [{ path: '', text: message('import.no-figures') }] };
	}
	const hasNames = first.some((cell) => Number.isNaN(figure(cell)));
	const names = hasNames
		? first.map((cell) => cell.trim())
		: first.map((_, i) => `column ${i + 1}`);
	const rows = hasNames ? rest : data;
	const columns = { ...guessed(names), ...stated };
	if (!isWhole(columns)) return { type: 'ask', names, guess: columns };

	const isThousandths = inThousandths(names[columns.height] ?? '') && columns.heightUnit === 'in';
	const problems: Problem[] = [];
	const read = rows.map((row, i) => {
		const [height, load] = [row[columns.height] ?? '', row[columns.load] ?? ''];
		for (const [name, cell] of [
			['height', height],
			['load', load]
		] as const) {
			if (Number.isNaN(figure(cell))) {
				problems.push({
					path: `line ${i + (hasNames ? 2 : 1)}`,
					text: message('import.not-figure', { column: name, read: cell.slice(0, 20) })
				});
			}
		}
		return {
			height: isThousandths ? inchesOf(digits(height)) : digits(height),
			load: digits(load)
		};
	});
	if (problems.length > 0) return { type: 'wrong', problems: problems.slice(0, 30) };
	const travels = withTravel(
		read.map(({ height, load }) => ({ height: mm(Number(height)), load: newtons(Number(load)) }))
	);
	return {
		type: 'read',
		columns,
		points: read.map(({ height, load }, i) => [height, load, travels[i]!.travel])
	};
}

/** More digits than any dial shows: a spreadsheet worked them out. */
const MAX_DIGITS = 12;

/** The digits of a cell as a dial would show them. */
function digits(cell: string): string {
	const text = cell.trim().replace(',', '.');
	const isPlain = /^-?\d+(\.\d+)?$/.test(text) && text.length <= MAX_DIGITS;
	return isPlain || Number.isNaN(Number(text)) ? text : String(Number(Number(text).toFixed(6)));
}
/** "1812.5" thousandths are "1.8125" inches. */
const inchesOf = (thousandths: string) =>
	Number.isNaN(Number(thousandths))
		? thousandths
		: String(Number((Number(thousandths) / 1000).toFixed(6)));
const figure = (cell: string) => (cell.trim() === '' ? Number.NaN : Number(digits(cell)));

/** A sweep's points as CSV: as the dial read them, and the spring's own height behind. */
export function sweepToCsv(sweep: Sweep): string {
	const own = sweepPoints(sweep);
	return (
		Papa.unparse(
			{
				fields: [
					`height ${sweep.heightUnit}`,
					`load ${sweep.loadUnit}`,
					'travel',
					'spring height mm',
					'spring load N'
				],
				data: sweep.points.map(([height, load, travel], i) => [
					height,
					load,
					travel,
					own[i]!.height.toFixed(3),
					own[i]!.load.toFixed(2)
				])
			},
			{ newline: '\r\n' }
		) + '\r\n'
	);
}

/** A sweep out of figures that were read elsewhere. */
export function newSweep(
	about: Pick<Sweep, 'set' | 'tag' | 'tester' | 'fixture' | 'person'> & Partial<Sweep>,
	columns: Pick<Columns, 'heightUnit' | 'loadUnit'>,
	points: Sweep['points']
): Sweep {
	return {
		format: 'zinc-ledger/sweep',
		version: 1,
		id: uuid(),
		at: new Date().toISOString(),
		...about,
		heightUnit: columns.heightUnit,
		loadUnit: columns.loadUnit,
		points
	};
}
