import { describe, expect, it, vi } from 'vitest';
import { sweepPoints } from '@zinc-ledger/core';
import { readSweep, writeSweep } from '@zinc-ledger/core/sweep-schema';
import { Capture } from './capture.svelte.ts';
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
		expect(read.sort === 'read' && read.points.map(([h, f]) => [h, f])).toEqual([
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
		expect(sweepFromCsv(text)).toMatchObject({ sort: 'read', columns });
	});
	it('is asked about where it says too little, and taken as told', () => {
		expect(sweepFromCsv('50,100\n49,160\n')).toMatchObject({
			sort: 'ask',
			names: ['column 1', 'column 2']
		});
		const told = { height: 0, load: 1, heightUnit: 'mm', loadUnit: 'N' } as const;
		const read = sweepFromCsv('50,100\n49,160\n50,98\n', told);
		expect(read.sort === 'read' && read.points.map((point) => point[2])).toEqual([
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
		expect(read.sort === 'wrong' && read.problems.map(({ path }) => path)).toEqual([
			'line 2',
			'line 3'
		]);
		expect(sweepFromCsv('height mm,load N\n').sort).toBe('wrong');
	});
});

describe('a pull of the lever', () => {
	const readings = (heights: number[]) =>
		heights.map((h) => [`${h.toFixed(2)} mm`, `${((60 - h) * 20).toFixed(1)} N`, 0] as const);
	it('begins with the first reading, turns at the bottom, and is over when it is up again', () => {
		const capture = new Capture();
		capture.take(readings([55, 50, 45, 40]));
		expect(capture.phase).toBe('pulling');
		capture.take(readings([44, 50, 54.5]));
		expect(capture.phase).toBe('done');
		expect(capture.points.map((point) => point[2])).toEqual([
			'down',
			'down',
			'down',
			'down',
			'up',
			'up',
			'up'
		]);
		capture.take(readings([50]));
		expect(capture.points).toHaveLength(7);
	});
	it('is not begun by a press on its way up, as after one that was cut off', () => {
		const capture = new Capture();
		capture.take(readings([38, 42, 48, 55]));
		expect(capture.phase).toBe('waiting');
		capture.take(readings([54.98, 54.7, 50]));
		expect(capture.phase).toBe('pulling');
		expect(capture.points.map(([height]) => height)).toEqual(['55.00', '54.98', '54.70', '50.00']);
	});
	it('is not begun half way down by a lever that was cut off and never let up', () => {
		const capture = new Capture();
		capture.take(readings([55, 50, 45]));
		capture.cutOff();
		capture.again();
		capture.take(readings([40, 38, 36]));
		expect(capture.phase).toBe('waiting');
		capture.take(readings([40, 49, 55, 54, 50]));
		expect(capture.points.map(([height]) => height)).toEqual(['55.00', '54.00', '50.00']);
	});
	it('is not begun by what is left of one that was thrown away half way', () => {
		const capture = new Capture();
		capture.take(readings([55, 50, 45]));
		capture.again();
		capture.take(readings([44, 40, 38, 40, 50]));
		expect(capture.phase).toBe('waiting');
		capture.take(readings([55, 54, 50]));
		expect(capture.points.map(([height]) => height)).toEqual(['55.00', '54.00', '50.00']);
	});
	it('that fell silent is over, goes on when the lever does, and is no new one once it is kept', () => {
		vi.useFakeTimers();
		const capture = new Capture();
		capture.take(readings([55, 50, 45]));
		vi.advanceTimersByTime(2900);
		expect(capture.phase).toBe('pulling');
		vi.advanceTimersByTime(200);
		expect(capture.phase).toBe('done');
		capture.take(readings([44, 40]));
		expect([capture.phase, capture.points.length]).toEqual(['pulling', 5]);
		vi.advanceTimersByTime(3100);
		capture.again();
		capture.take(readings([39, 38, 45, 54.6]));
		expect(capture.phase).toBe('waiting');
		vi.useRealTimers();
	});
	it('is begun by a lever that was let up while the tester was away', () => {
		const capture = new Capture();
		capture.take(readings([55, 50, 45]));
		capture.cutOff();
		capture.again();
		capture.take(readings([54.9, 54.5, 50]));
		expect(capture.phase).toBe('pulling');
		expect(capture.points.map(([height]) => height)).toEqual(['54.90', '54.50', '50.00']);
	});
	it('cut off keeps what came, takes nothing more, and can be pulled again', () => {
		const capture = new Capture();
		capture.take(readings([55, 50, 45]));
		capture.cutOff();
		expect([capture.phase, capture.points.length]).toEqual(['interrupted', 3]);
		capture.take(readings([40]));
		expect(capture.points).toHaveLength(3);
		capture.again();
		expect([capture.phase, capture.points.length]).toEqual(['waiting', 0]);
	});
	it('passes over readings that are no point of a sweep', () => {
		const capture = new Capture();
		capture.take([
			['46.2 mm', null, 0],
			[null, '600 N', 0]
		]);
		expect(capture.phase).toBe('waiting');
	});
});
