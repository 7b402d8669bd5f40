import { describe, expect, it } from 'vitest';
import { mm } from '../units/index.ts';
import { PeakReader } from '../gauge-link/index.ts';
import {
	checksStillWanted,
	frameStiffness,
	gaugeInHand,
	type Gauge,
	type GaugeCheck
} from '../gauge/index.ts';
import type { Job, Reading } from './schema.ts';
import { gaugeRepeatsOf, repeatsWanted, meanOfRepeats, trueFigure } from './repeats.ts';

const id = (n: number) => `0197a777-0000-7000-8000-${String(n).padStart(12, '0')}`;
const reading = (n: number, read: string, more: Partial<Reading> = {}): Reading => ({
	id: id(n),
	station: '1I',
	quantity: 'installed-height',
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
		const now = meanOfRepeats([reading(2, '40.10 mm'), reading(1, '40.00 mm')], height)!;
		expect([now.value, now.repeats.length, now.spread]).toEqual([mm(40.1), 1, mm(0)]);
		// 1.96 × 0.01 ÷ √12
		expect(now.uncertainty).toBeCloseTo(0.005658, 6);
		expect(meanOfRepeats([], height)).toBeNull();
	});
	it('repeats of one set are their mean, and their spread adds to the uncertainty', () => {
		const set = id(800);
		const now = meanOfRepeats(
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
	it('a single reading stands on what the job’s repeats have shown of its gauge', () => {
		const set = (n: number) => ({ set: id(800 + n) });
		const readings = [
			reading(1, '40.00 mm', { ...set(1), station: '1I' }),
			reading(2, '40.02 mm', { ...set(1), station: '1I' }),
			reading(3, '41.00 mm', { ...set(2), station: '2I' }),
			reading(4, '41.02 mm', { ...set(2), station: '2I' }),
			reading(5, '42.00 mm', { station: '3I' })
		];
		const job = { readings, voids: [], setup: { limits: {} } } as unknown as Job;
		const half = (one: Reading[]) => meanOfRepeats(one, height, gaugeRepeatsOf(job))!.uncertainty;
		// Two pairs 0.02 apart: sd 0.01414 by two degrees of freedom, 4.303
		const gauge = (1.96 * 0.01) / Math.sqrt(12);
		expect(half([readings[4]!])).toBeCloseTo(Math.hypot(4.303 * 0.01414, gauge), 4);
		expect(half([readings[1]!, readings[0]!])).toBeCloseTo(Math.hypot(4.303 * 0.01, gauge), 4);
		// Nothing known: a resolution for how it repeats, or what the job says instead.
		const alone = { ...job, readings: [readings[4]!] };
		const unknown = (parts?: number) =>
			meanOfRepeats(
				[readings[4]!],
				height,
				gaugeRepeatsOf({ ...alone, setup: { limits: { unknownRepeat: parts } } } as unknown as Job)
			)!.uncertainty;
		expect(unknown()).toBeCloseTo(Math.hypot(1.96 * 0.01, gauge), 4);
		expect(unknown(3)).toBeCloseTo(Math.hypot(1.96 * 0.03, gauge), 4);
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
		sort: 'height-gauge',
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
		// One check is a reading like any other: √(1 ÷ 12 + 1) × 0.0127, until how the gauge repeats is known.
		expect(Number.parseFloat(one.correctionError!)).toBeCloseTo(0.01322, 5);
		expect(checksStillWanted([check(1, '45 mm', '45.02 mm')], 'length')).toBe(1);
		const two = gaugeInHand(
			gauge,
			[check(1, '45 mm', '45.02 mm'), check(2, '45 mm', '45.04 mm')],
			'length'
		);
		expect(two.correction).toBe('-0.03000 mm');
		// They leave 0.01414, known by one degree of freedom: × 12.706 ÷ 1.96, of the mean ÷ √2
		expect(Number.parseFloat(two.correctionError!)).toBeCloseTo(0.0648, 3);
		expect(checksStillWanted([], 'length')).toBe(0);
	});
	it('through two checks at two heights has no error left over, and says that one more would tell', () => {
		const checks = [check(1, '30 mm', '30.02 mm'), check(2, '60 mm', '60.05 mm')];
		const line = gaugeInHand(gauge, checks, 'length');
		expect(line.gain).toBeDefined();
		expect(Number.parseFloat(line.correctionError!)).toBeCloseTo(0.01322, 5);
		expect(checksStillWanted(checks, 'length')).toBe(1);
		expect(checksStillWanted([...checks, check(3, '45 mm', '45.03 mm')], 'length')).toBe(0);
	});
	it('carries how it repeats: as the shop states it, else as its repeats have shown', () => {
		const shown = gaugeInHand(gauge, [], 'length', { deviation: 0.02, freedom: 37 });
		expect(shown).toMatchObject({ repeatability: '0.02000 mm', repeatabilityFreedom: 37 });
		const stated = gaugeInHand({ ...gauge, repeatability: '0.001 in' }, [], 'length', {
			deviation: 0.02,
			freedom: 37
		});
		expect(stated.repeatability).toBe('0.02540 mm');
		expect(stated.repeatabilityFreedom).toBeUndefined();
		// t(37) = 2.026: a single reading by a gauge known so
		const half = meanOfRepeats([reading(1, '40 mm', { gauge: shown })], height)!.uncertainty;
		expect(half).toBeCloseTo(Math.hypot(2.026 * 0.02, (1.96 * 0.0127) / Math.sqrt(12)), 3);
	});
	it('a pull on a solid block tells the frame, and is no check of height or load', () => {
		const pull = { ...check(1, '2000 N', '0.80 mm'), against: 'solid block' };
		expect(frameStiffness([pull])).toBe(2500);
		expect(frameStiffness([check(1, '45 mm', '45.02 mm')])).toBeNull();
		expect(gaugeInHand(gauge, [pull], 'length').correction).toBe('0.00000 mm');
		expect(gaugeInHand(gauge, [pull], 'load').correction).toBe('0.00000 N');
	});
});
