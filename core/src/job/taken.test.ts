import { describe, expect, it } from 'vitest';
import { mm } from '../units/quantity.ts';
import { PeakReader } from '../device/peak.ts';
import { gaugeInHand } from '../gauge/in-hand.ts';
import type { Gauge, GaugeCheck } from '../gauge/schema.ts';
import type { Reading } from './schema.ts';
import { repeatsWanted, taken, trueFigure } from './taken.ts';

const id = (n: number) => `0197a777-0000-7000-8000-${String(n).padStart(12, '0')}`;
const reading = (n: number, read: string, more: Partial<Reading> = {}): Reading => ({
	id: id(n),
	station: '1I',
	quantity: 'installed height',
	read,
	gauge: { name: 'Height gauge', resolution: '0.01 mm', correction: '0 mm' },
	inPlace: {
		locator: '0 mm',
		shims: [],
		lockOffset: '0 mm',
		recess: '0 mm',
		retainerLanding: '0 mm'
	},
	person: id(900),
	at: '2026-03-02T09:00:00Z',
	...more
});
const height = (one: Reading) => mm(trueFigure(one));

describe('what readings come to', () => {
	it('gain and offset of the correction in force are put on', () => {
		const gauge = { name: 'g', resolution: '0.01 mm', gain: 1.01, correction: '-0.2 mm' };
		expect(trueFigure(reading(1, '40 mm', { gauge }))).toBeCloseTo(40.2, 9);
	});
	it('a reading of no set stands alone, the newest', () => {
		const now = taken([reading(2, '40.10 mm'), reading(1, '40.00 mm')], height)!;
		expect([now.value, now.repeats.length, now.spread]).toEqual([mm(40.1), 1, mm(0)]);
		// 1.96 × 0.01 ÷ √12
		expect(now.uncertainty).toBeCloseTo(0.005658, 6);
		expect(taken([], height)).toBeNull();
	});
	it('repeats of one set are their mean, and their spread adds to the uncertainty', () => {
		const set = id(800);
		const now = taken(
			[
				reading(3, '40.10 mm', { set }),
				reading(2, '40.00 mm', { set }),
				reading(1, '39.00 mm', { set: id(801) })
			],
			height
		)!;
		expect(now.value).toBeCloseTo(40.05, 9);
		expect(now.spread).toBeCloseTo(0.1, 9);
		// spread 0.1: sd 0.0707 known by one degree of freedom, of the mean 0.05
		expect(now.uncertainty).toBeCloseTo(
			Math.hypot(12.7062 * 0.05, (1.96 * 0.01) / Math.sqrt(12)),
			4
		);
	});
	it('a third reading is wanted where two differ by more than the gauge explains', () => {
		const two = (b: string) => [reading(1, '40.00 mm'), reading(2, b)];
		expect(repeatsWanted([], 2)).toBe(2);
		expect(repeatsWanted(two('40.03 mm'), 2)).toBe(2);
		expect(repeatsWanted(two('40.04 mm'), 2)).toBe(3);
		expect(repeatsWanted([...two('40.04 mm'), reading(3, '40.00 mm')], 2)).toBe(2);
		expect(repeatsWanted(two('40.04 mm'), 3)).toBe(3);
	});
});

describe('the peak of an on-head tester', () => {
	it('is told once a pull, when the load has fallen off it', () => {
		const peak = new PeakReader();
		const told = (loads: number[]) => loads.map((load) => peak.push(load));
		expect(told([150, 300, 480, 500, 480])).toEqual([null, null, null, null, 500]);
		expect(told([470, 460])).toEqual([null, null]);
		expect(told([150, 510, 505, 490])).toEqual([null, null, null, 510]);
	});
});

describe('a gauge in hand', () => {
	const gauge: Gauge = {
		id: id(1),
		name: 'Height gauge 1',
		sort: 'height gauge',
		resolution: '0.0005 in',
		lengthUnit: 'in',
		loadUnit: 'lbf',
		dueMonths: 6
	};
	const check = (n: number, reference: string, read: string): GaugeCheck => ({
		id: id(10 + n),
		gauge: gauge.id,
		against: 'height standard',
		reference,
		read,
		person: id(900),
		at: '2026-02-01T08:00:00Z'
	});
	it('carries no correction before its first check, and what it reads to', () => {
		expect(gaugeInHand(gauge, [], 'length')).toEqual({
			id: gauge.id,
			name: 'Height gauge 1',
			resolution: '0.0005 in',
			correction: '0.00000 mm'
		});
	});
	it('carries its offset, and how far its checks scatter about it', () => {
		const one = gaugeInHand(gauge, [check(1, '45 mm', '45.02 mm')], 'length');
		expect(one.correction).toBe('-0.02000 mm');
		expect(one.correctionError).toBeUndefined();
		const two = gaugeInHand(
			gauge,
			[check(1, '45 mm', '45.02 mm'), check(2, '45 mm', '45.04 mm')],
			'length'
		);
		expect(two.correction).toBe('-0.03000 mm');
		expect(Number.parseFloat(two.correctionError!)).toBeCloseTo(0.01414, 5);
	});
});
