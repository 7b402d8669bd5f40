import { describe, expect, it } from 'vitest';
import { sweepPoints } from '@zinc-ledger/core';
import { readSweep, writeSweep } from '@zinc-ledger/core/sweep-schema';
import { newSweep, sweepFromCsv, sweepToCsv } from './csv.ts';

const about = { set: 'Six', tag: 'T1', tester: 'Bench', fixture: '5.36 mm', person: 'Runa Tarn' };

describe('a sweep', () => {
	const sweep = newSweep(
		{
			...about,
			correction: { height: { gain: 1, offset: -0.02 }, load: { gain: 0.99, offset: 1 } }
		},
		{ heightUnit: 'mm', loadUnit: 'N' },
		[
			['51.588', '600.0', 'down'],
			['40', '1200', 'up']
		]
	);
	it('has points of the spring itself: corrected, less the fixture', () => {
		const [first, second] = sweepPoints(sweep);
		expect(first).toEqual({
			height: expect.closeTo(46.208, 9),
			load: expect.closeTo(595, 9),
			travel: 'down'
		});
		expect(second!.height).toBeCloseTo(34.62, 9);
	});
	it('comes back from its file as it was', () => {
		expect(readSweep(writeSweep(sweep))).toEqual({ ok: true, value: sweep });
		expect(readSweep(writeSweep({ ...sweep, points: [] })).ok).toBe(false);
	});
	it('goes out as CSV and is recognised coming in', () => {
		const read = sweepFromCsv(sweepToCsv(sweep));
		expect(read.type === 'read' && read.points.map(([h, f]) => [h, f])).toEqual([
			['51.588', '600.0'],
			['40', '1200']
		]);
	});
});

describe('CSV from elsewhere', () => {
	it.each([
		[
			'Height (mm),Force (N)\n50,100\n49,160\n',
			{ height: 0, load: 1, heightUnit: 'mm', loadUnit: 'N' }
		],
		[
			'n;pressure lbf;height in\n1;20;2.0\n2;30;1.9\n',
			{ height: 2, load: 1, heightUnit: 'in', loadUnit: 'lbf' }
		],
		[
			'height_mm\tload_kgf\n50\t10\n49\t16\n',
			{ height: 0, load: 1, heightUnit: 'mm', loadUnit: 'kgf' }
		]
	])('%j is recognised', (text, columns) => {
		expect(sweepFromCsv(text)).toMatchObject({ type: 'read', columns });
	});
	it.each([
		['height in;load lbs', 'in', 'lbf'],
		['Height (inches);Load, lb', 'in', 'lbf'],
		['length in mm;force in newtons', 'mm', 'N'],
		['height mm;load kg', 'mm', 'kgf'],
		['height "; load #', 'in', 'lbf']
	] as const)('has units as people write them: %s', (heading, heightUnit, loadUnit) => {
		const read = sweepFromCsv(`${heading}\n1.8;130\n1.7;160\n`);
		expect(read).toMatchObject({ type: 'read', columns: { heightUnit, loadUnit } });
	});
	it('reads thousandths where the heading says so', () => {
		const read = sweepFromCsv('height thou,load lbs\n1812.5,130\n1700,160\n');
		expect(read).toMatchObject({
			columns: { heightUnit: 'in', loadUnit: 'lbf' },
			points: [
				['1.8125', '130', 'down'],
				['1.7', '160', 'down']
			]
		});
	});
	it('is asked about where it says too little, and taken as told', () => {
		expect(sweepFromCsv('50,100\n49,160\n')).toMatchObject({
			type: 'ask',
			names: ['column 1', 'column 2']
		});
		const columns = { height: 0, load: 1, heightUnit: 'mm', loadUnit: 'N' } as const;
		const read = sweepFromCsv('50,100\n49,160\n50,98\n', columns);
		expect(read.type === 'read' && read.points.map((point) => point[2])).toEqual([
			'down',
			'down',
			'up'
		]);
	});
	it('takes what a spreadsheet worked out for what a dial would show', () => {
		const read = sweepFromCsv('height mm,load N\n53.5,107.99999999999983\n53,1e3\n');
		expect(read).toMatchObject({
			points: [
				['53.5', '108', 'down'],
				['53', '1000', 'down']
			]
		});
	});
	it('tells every line that has no figure', () => {
		const read = sweepFromCsv('height mm,load N\n50,\nx,160\n');
		expect(read.type === 'wrong' && read.problems.map(({ path }) => path)).toEqual([
			'line 2',
			'line 3'
		]);
		expect(sweepFromCsv('height mm,load N\n').type).toBe('wrong');
	});
});
