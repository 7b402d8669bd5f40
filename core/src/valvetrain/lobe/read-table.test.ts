/** Tables as people hand them over come to the lobe they were taken from. */
import { describe, expect, it } from 'vitest';
import { mm } from '../../foundation/units/index.ts';
import { camDegrees, durationAt } from './lobe.ts';
import { madeUpLobe } from './made-up.ts';
import { checkTable, guessTable, readTable, type TableMeaning } from './read-table.ts';

const lobe = madeUpLobe({
	lift: mm(8.9),
	durations: [{ lift: mm(1.27), degrees: 244 }]
});
interface How {
	readonly heading?: readonly string[];
	readonly from: number;
	readonly to: number;
	readonly nose?: number;
	readonly step?: number;
	readonly crank?: boolean;
	readonly per?: number;
	readonly digits?: number;
	readonly zero?: number;
	readonly ratio?: number;
}
/** Rows of a table of that lobe. */
function table({ heading, from, to, nose = 0, step = 1, ...how }: How): string[][] {
	const { crank = false, per = 1, digits = 3, zero = 0, ratio = 1 } = how;
	const rows: string[][] = heading ? [[...heading]] : [];
	for (let degree = from; degree <= to; degree += step) {
		const turned = ((((crank ? degree / 2 : degree) - nose + 540) % 360) - 180) * 1;
		const { lift } = lobe.at(camDegrees(turned));
		rows.push([String(degree), ((lift * ratio + zero) / per).toFixed(digits)]);
	}
	return rows;
}
describe('text that is not a lift table', () => {
	const faultsOf = (rows: string[][], changed: Partial<TableMeaning> = {}) =>
		readTable(rows, { ...guessTable(rows).meaning, ...changed }).faults;
	const good = table({ from: -70, to: 70 });
	it('of too many lines is refused at once', () => {
		const many = Array.from({ length: 200_000 }, (_, i) => [String(i), '0.1']);
		expect(faultsOf(many)).toEqual(['too-many-lines']);
	});
	it.each([0, -1.5, Number.NaN])('at the valve with a ratio of %d has no lobe', (ratio) => {
		expect(faultsOf(good, { at: 'valve', ratio })).toEqual(['no-ratio']);
	});
	it('that rises higher than any valve says so', () => {
		const rows = good.map(([degree, lift], i) => [degree!, i === 60 ? '1e30' : lift!]);
		expect(faultsOf(rows)).toEqual(['too-high']);
		expect(faultsOf(good, { at: 'valve', ratio: 1e-9 })).toEqual(['too-high']);
	});
	it('has no figures in what only looks like some', () => {
		const odd = [
			['0x10', '0b1'],
			['1', 'Infinity'],
			['2', '1e999'],
			['3', '1.2.3'],
			['4', '1,234.5']
		];
		expect(readTable(odd, guessTable(odd).meaning)).toMatchObject({
			lines: [],
			faults: ['too-few-lines']
		});
	});
});

const durationOf = (rows: string[][], changed: Partial<TableMeaning> = {}) => {
	const { meaning } = guessTable(rows);
	const { lines, faults } = readTable(rows, { ...meaning, ...changed });
	expect(faults).toEqual([]);
	const { lobe: found } = checkTable(lines, []);
	return [found.peak, durationAt(found, 1.27)] as const;
};
const near = ([peak, duration]: readonly [number, number]) => {
	expect(peak).toBeCloseTo(8.9, 1);
	expect(Math.abs(duration - 244)).toBeLessThan(1);
};

describe('a lift table as it is handed over', () => {
	it('says what its figures are, or what is likely', () => {
		const guess = guessTable(
			table({ heading: ['crank angle', 'valve lift mm'], from: -180, to: 180, crank: true })
		);
		expect(guess.meaning).toMatchObject({ degrees: 'crank', at: 'valve', unit: 'mm' });
		expect(guess.named).toEqual(['degree', 'lift', 'degrees', 'at', 'unit']);
		const bare = guessTable(table({ from: -90, to: 90, per: 25.4, digits: 4 }));
		expect(bare).toMatchObject({
			meaning: { degree: 0, lift: 1, degrees: 'cam', at: 'lobe', unit: 'in' },
			named: []
		});
		expect(guessTable(table({ from: 0, to: 360, nose: 90, crank: true })).meaning.degrees).toBe(
			'crank'
		);
		expect(guessTable(table({ from: 0, to: 90 })).meaning.degrees).toBe('cam');
	});
	it.each<[string, How]>([
		['about its nose', { from: -90, to: 90 }],
		['in inches and crank degrees', { from: -180, to: 180, crank: true, per: 25.4, digits: 4 }],
		['once round, its nose anywhere', { from: 0, to: 360, nose: 127.3 }],
		['once round, across the end of the turn', { from: 0, to: 359, nose: 8 }],
		['from its nose to one side', { from: 0, to: 90 }],
		['from another zero', { from: -90, to: 90, zero: -0.4 }]
	])('is the same lobe %s', (_, how) => near(durationOf(table(how))));
	it('is taken from the valve by the ratio', () => {
		const rows = table({ heading: ['cam deg', 'valve lift mm'], from: -90, to: 90, ratio: 1.6 });
		near(durationOf(rows, { ratio: 1.6 }));
	});
	it('keeps no more than the lobe, and says what it could not read', () => {
		const rows = table({ from: 0, to: 360, nose: 180 });
		rows[100]![1] = 'lift?';
		const read = readTable(rows, guessTable(rows).meaning);
		expect(read.unread).toEqual([101]);
		expect(read.nose).toBeCloseTo(180, 1);
		expect(read.lines.length).toBeLessThan(200);
		expect(readTable([['a', 'b']], guessTable([['a', 'b']]).meaning).faults).toEqual([
			'too-few-lines'
		]);
	});
	it('is held against the durations of its card', () => {
		const { lines } = readTable(
			table({ from: -90, to: 90 }),
			guessTable(table({ from: -90, to: 90 })).meaning
		);
		const [check] = checkTable(lines, [{ lift: mm(1.27), degrees: 240 }]).durations;
		expect(check!.ofTable - check!.degrees).toBeCloseTo(4, 0);
	});
});
