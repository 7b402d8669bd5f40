import { describe, expect, it } from 'vitest';
import { mm } from '../../foundation/units/index.ts';
import { PeakReader } from '../../parts/gauge-link/index.ts';
import { frameStiffness, type Gauge, type GaugeCheck } from '../../parts/gauge/index.ts';
import { checksStillWanted, gaugeInHand, testerDeviation } from '../gauge-in-hand/index.ts';
import type { Job, Reading } from './schema.ts';
import {
	gaugeRepeatsOf,
	meanOfRepeats,
	repeatsWanted,
	trueFigure,
	uncertaintyOfDifference
} from './repeats.ts';

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

const ROUNDED = Math.sqrt(12);
const UNIFORM = Math.sqrt(3);
/** Half-width of a 95 % interval from its standard deviations. */
const half = (...deviations: number[]) => 1.959963985 * Math.hypot(...deviations);

describe('what readings come to', () => {
	it('gain and offset of the correction in force are put on', () => {
		const gauge = { name: 'g', resolution: '0.01 mm', gain: 1.01, correction: '-0.2 mm' };
		expect(trueFigure(reading(1, '40 mm', { gauge }))).toBeCloseTo(40.2, 9);
	});
	it('a reading of no set stands alone, the newest', () => {
		const now = meanOfRepeats([reading(2, '40.10 mm'), reading(1, '40.00 mm')], height)!;
		expect([now.value, now.repeats.length, now.spread]).toEqual([mm(40.1), 1, mm(0)]);
		// The default of a height, 0.0381, of one person and between two; three resolutions of bias
		expect(now.uncertainty).toBeCloseTo(half(0.0381, 0.0381, 0.01 / ROUNDED, 0.03 / UNIFORM), 6);
		expect(meanOfRepeats([], height)).toBeNull();
	});
	it('repeats of one set are their mean, and their spread adds to the uncertainty', () => {
		const set = id(800);
		const now = meanOfRepeats(
			[
				reading(3, '40.20 mm', { set }),
				reading(2, '40.00 mm', { set }),
				reading(1, '39.00 mm', { set: id(801) })
			],
			height
		)!;
		expect(now.value).toBeCloseTo(40.1, 9);
		expect(now.spread).toBeCloseTo(0.2, 9);
		// spread 0.2: sd 0.1414, 3.7 times the default, which does not explain it; of the mean 0.1
		expect(now.uncertainty).toBeCloseTo(half(0.1, 0.1414214, 0.01 / ROUNDED, 0.03 / UNIFORM), 5);
	});
	it('uses the job’s own repeats from ten pairs on, and the default before that', () => {
		const pairs = (count: number): Reading[] =>
			Array.from({ length: count }, (_, i) => ({ set: id(800 + i), station: `${i + 1}I` })).flatMap(
				(same, i) => [
					reading(2 * i, `${40 + i}.00 mm`, same),
					reading(2 * i + 1, `${40 + i}.02 mm`, same)
				]
			);
		const single = reading(99, '42.00 mm', { station: '30I' });
		const known = (readings: Reading[], limits = {}) => {
			const job = { readings: [...readings, single], voids: [], setup: { limits } };
			return meanOfRepeats([single], height, gaugeRepeatsOf(job as unknown as Job))!.uncertainty;
		};
		const others = [0.01 / ROUNDED, 0.03 / UNIFORM];
		expect(known(pairs(9))).toBeCloseTo(half(0.0381, 0.0381, ...others), 6);
		// sd 0.01414 by ten degrees of freedom for both parts; (u² ÷ 2s²)² × 10 = 31: t = 2.0395
		const ten = (2.0395 / 1.96) * half(0.014142, 0.014142, ...others);
		expect(known(pairs(10))).toBeCloseTo(ten, 4);
		// What the shop says instead: its own default, or more resolutions.
		const shop = (limits: object) => known([], limits);
		expect(shop({ oneReading: { height: '0.05 mm' } })).toBeCloseTo(half(0.05, 0.05, ...others), 6);
		expect(shop({ unknownRepeat: 8 })).toBeCloseTo(half(0.08, 0.08, ...others), 6);
	});
	it('keeps the default where two readings differ by what it explains', () => {
		const set = id(800);
		const pair = [reading(2, '40.10 mm', { set }), reading(1, '40.00 mm', { set })];
		const now = meanOfRepeats(pair, height)!;
		const mean = 0.0381 / Math.SQRT2;
		expect(now.uncertainty).toBeCloseTo(half(mean, 0.0381, 0.01 / ROUNDED, 0.03 / UNIFORM), 6);
	});
	it('by one gauge and person differ by less than each is known', () => {
		const one = meanOfRepeats([reading(1, '40 mm')], height)!;
		const own = half(0.0381, 0.01 / ROUNDED);
		expect(uncertaintyOfDifference(one, one)).toBeCloseTo(Math.SQRT2 * own, 6);
		const by = meanOfRepeats([reading(2, '40 mm', { person: id(901) })], height)!;
		expect(uncertaintyOfDifference(one, by)).toBeCloseTo(Math.SQRT2 * one.uncertainty, 6);
	});
	it('takes three people’s readings apart from one person’s', () => {
		const byPerson = (person: number, read: string, n: number) =>
			reading(10 * n + person, read, { set: id(800 + n), person: id(900 + person) });
		// Each person reads each valve twice and alike; the three lie 0.1 apart from each other in turn.
		const readings = [0, 1, 2, 3].flatMap((n) =>
			[0, 1, 2].flatMap((person) => {
				const read = `${(40 + n + 0.1 * person).toFixed(2)} mm`;
				return [byPerson(person, read, n), byPerson(person, read, n + 0.5)].map((one) => ({
					...one,
					set: id(800 + n)
				}));
			})
		);
		const repeats = gaugeRepeatsOf({
			readings,
			voids: [],
			setup: { limits: {} }
		} as unknown as Job);
		const { single, betweenPeople } = repeats(readings[0]!, []);
		expect(single).toEqual({ deviation: 0, freedom: 12 });
		// ½ × mean of 0.1², 0.1², 0.2²
		expect(betweenPeople.deviation).toBeCloseTo(0.1, 9);
		expect(betweenPeople.freedom).toBe(2);
	});
	it('is not known better than its maker states, until it is checked', () => {
		const by = (gauge: Partial<Reading['gauge']>) => {
			const one = reading(1, '40 mm');
			return meanOfRepeats([{ ...one, gauge: { ...one.gauge, ...gauge } }], height)!.uncertainty;
		};
		const rest = [0.0381, 0.0381, 0.01 / ROUNDED];
		expect(by({ accuracy: '0.10 mm' })).toBeCloseTo(half(...rest, 0.1 / UNIFORM), 6);
		expect(by({ correctionError: '0.02 mm' })).toBeCloseTo(half(...rest, 0.02), 6);
		expect(by({ correction: '0.02 mm' })).toBeCloseTo(half(...rest), 6);
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
		const peaksOf = (loads: number[]) => loads.map((load) => peak.push(load));
		expect(peaksOf([150, 300, 480, 500, 480])).toEqual([null, null, null, null, 500]);
		expect(peaksOf([470, 460])).toEqual([null, null]);
		expect(peaksOf([150, 510, 505, 490])).toEqual([null, null, null, 510]);
	});
});

describe('a gauge in hand', () => {
	const gauge: Gauge = {
		id: id(1),
		name: 'Height gauge 1',
		type: 'height-gauge',
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
	/** One check: the default of one height, 0.0381, and the rounding of 0.0127. */
	const ONE_CHECK = Math.hypot(0.0381, 0.0127 / ROUNDED);
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
		// One check is a reading like any other: the default of a height gauge, and its rounding.
		expect(Number.parseFloat(one.correctionError!)).toBeCloseTo(ONE_CHECK, 5);
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
		expect(Number.parseFloat(line.correctionError!)).toBeCloseTo(ONE_CHECK, 5);
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
		// A single reading by a gauge known so: (u² ÷ 2s²)² × 37 = 103, t = 1.983
		const known = meanOfRepeats([reading(1, '40 mm', { gauge: shown })], height)!.uncertainty;
		const parts = [0.02, 0.02, 0.0127 / ROUNDED, 0.0381 / UNIFORM];
		expect(known).toBeCloseTo((1.983 / 1.96) * half(...parts), 3);
		expect(gaugeInHand({ ...gauge, accuracy: '0.002 in' }, [], 'length').accuracy).toBe('0.002 in');
	});
	it('that tests springs says how surely it reads a load, once it was checked', () => {
		const tester: Gauge = { ...gauge, type: 'bench-tester', loadResolution: '1 N' };
		expect(testerDeviation(tester, [])).toBeNull();
		const weight = check(1, '1000 N', '1000 N');
		// One check: 1 % of one reading, and the correction by it; 1 N of resolution hardly counts.
		const rounding = 1 / ROUNDED / 1000;
		const once = Math.hypot(0.01, Math.hypot(0.01, rounding));
		expect(testerDeviation(tester, [weight])).toBeCloseTo(once, 6);
		const stated = { ...tester, loadRepeatability: '2 N' };
		expect(testerDeviation(stated, [weight])).toBeCloseTo(
			Math.hypot(0.002, Math.hypot(0.002, rounding)),
			6
		);
	});
	it('a pull on a solid block tells the frame, and is no check of height or load', () => {
		const pull = { ...check(1, '2000 N', '0.80 mm'), against: 'solid block' };
		expect(frameStiffness([pull])).toBe(2500);
		expect(frameStiffness([check(1, '45 mm', '45.02 mm')])).toBeNull();
		expect(gaugeInHand(gauge, [pull], 'length').correction).toBe('0.00000 mm');
		expect(gaugeInHand(gauge, [pull], 'load').correction).toBe('0.00000 N');
	});
});
