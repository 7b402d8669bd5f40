/** Lists of figures as people write them. */
import { describe, expect, it } from 'vitest';
import { INCH_POUND, METRIC } from '../../foundation/units/index.ts';
import { readPasted } from './index.ts';

const order = Array.from({ length: 8 }, (_, i) => [`${i + 1}I`, `${i + 1}E`]).flat();
const heights = { quantity: 'installed-height', units: INCH_POUND, order } as const;
const read = (text: string, how: Parameters<typeof readPasted>[1] = heights) =>
	readPasted(text, how).figures.map(({ station, read }) => `${station} ${read}`);

describe('a list of heights', () => {
	it.each([
		['pairs in one line', '1I 1.812, 1E 1.809'],
		['tabs', '1I\t1.812\n1E\t1.809'],
		['a decimal comma', '1I 1,812; 1E 1,809'],
		['one a line, with marks', '1i: 1.812\n1 e = 1.809'],
		['thousandths', '1I 1812\r\n1E 1809'],
		['its units', '1I 1.812 in, 1E 1.809in'],
		['thousandths alone', '1812 1809'],
		['figures alone in the measuring order', '1.812 1.809'],
		['figures alone, one a line', '1.812\n\n1.809\n']
	])('%s', (_, text) => expect(read(text)).toEqual(['1I 1.812 in', '1E 1.809 in']));
	it('of a head with several valves of a kind', () => {
		const four = { ...heights, order: ['1Ia', '1Ib', '1Ea', '1Eb'], units: METRIC };
		expect(read('1Ia 34,52 1IB 34,60', four)).toEqual(['1Ia 34.52 mm', '1Ib 34.60 mm']);
	});
	it('of loads, with their unit', () => {
		const loads = { ...heights, quantity: 'on-head-load' } as const;
		expect(read('1I 131 lbf, 1E 560 N', loads)).toEqual(['1I 131 lbf', '1E 560 N']);
	});
	it('of 200 lines with ten faulty ones: 190 are read, ten named by line', () => {
		const bad = [
			'9I 1.8',
			'five',
			'2I',
			'2I tall',
			'3X 1.8',
			'1I 1.2.3',
			'12E 1.8',
			'1E -1',
			'—',
			'4I ?'
		];
		const lines = Array.from({ length: 200 }, (_, i) =>
			i % 20 === 7 ? bad[(i - 7) / 20]! : `${order[i % 16]} 1.8${String(i % 90).padStart(2, '0')}`
		);
		const { figures, problems } = readPasted(lines.join('\n'), heights);
		expect(figures).toHaveLength(190);
		expect(problems.map(({ line }) => line)).toEqual(bad.map((_, i) => i * 20 + 8));
		expect(new Set(problems.map(({ why }) => why.code)).size).toBeGreaterThan(4);
	});
	it.each([
		['a heading', 'Height\n1.812\n1.809'],
		['numbers before the figures', '1. 1.812\n2. 1.809'],
		['line numbers without a mark', '1 1.812\n2 1.809'],
		['a common fraction', '1 13/16\n1 51/64'],
		['cylinders in words', 'cyl 1 intake 1.812\ncyl 1 exhaust 1.809'],
		['one figure too many', '1.8 '.repeat(17)]
	])('reads nothing of figures alone with %s: whose the others are is not certain', (_, text) => {
		const { figures, problems } = readPasted(text, heights);
		expect(figures).toEqual([]);
		expect(problems.length).toBeGreaterThan(0);
	});
	it('takes no line in which something stands before its valve', () => {
		const { figures, problems } = readPasted('no. 3: 1I 1.812\n1E 1.809', heights);
		expect(figures.map(({ station }) => station)).toEqual(['1E']);
		expect(problems.map(({ line }) => line)).toEqual([1]);
	});
	// Looking back at every blank from each of them would take minutes: this ends by its time limit.
	it('is not held up by blanks', () => {
		const blanks = ' '.repeat(200_000);
		expect(readPasted(`1I 1.8${blanks}x\n${blanks}word`, heights).problems).toHaveLength(2);
		expect(readPasted(`${blanks}word`, heights).problems).toHaveLength(1);
	}, 20_000);
	it('names figures beyond the last valve, and reads nothing of nothing', () => {
		const { problems } = readPasted('1.8 '.repeat(17), heights);
		expect(problems).toMatchObject([{ why: { code: 'paste.too-many', params: { valves: 16 } } }]);
		expect(readPasted(' \n\t\n', heights)).toEqual({ figures: [], problems: [] });
	});
});
