import { describe, expect, it, vi } from 'vitest';
import { Capture } from './capture.svelte.ts';

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
