import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { coilBindMargin, sealClearance } from '../../sheet/clearance/index.ts';
import { inches, mm } from '../units/index.ts';
import { headsOf, stationsOf, type Layout } from './layout.ts';
import { walk } from './order.ts';
import { median, medianBand } from './outlier.ts';
import { bareHeight, innerHeight, installedHeight, sealGap, type InPlace } from './stack.ts';

const nothing: InPlace = {
	locator: mm(0),
	shims: mm(0),
	lockOffset: mm(0),
	recess: mm(0),
	correction: mm(0),
	retainerLanding: mm(0)
};

describe('the stack', () => {
	it('adds what was under the gauge to the bare height', () => {
		// 1.815 + 0.060 locator + 0.030 shim − 0.050 plus locks = 1.855
		const bare = bareHeight(inches(1.815), {
			...nothing,
			locator: inches(0.06),
			shims: inches(0.03),
			lockOffset: inches(0.05)
		});
		expect(bare).toBeCloseTo(inches(1.855), 9);
	});

	it('takes the recess off and puts the gauge correction on', () => {
		const bare = bareHeight(mm(35), { ...nothing, recess: mm(0.4), correction: mm(0.02) });
		expect(bare).toBeCloseTo(34.62, 9);
	});

	it('gives the reading back for a build just like what was measured', () => {
		const length = fc.double({ min: 0, max: 5, noNaN: true }).map(mm);
		fc.assert(
			fc.property(
				fc.double({ min: 20, max: 80, noNaN: true }).map(mm),
				length,
				length,
				length,
				length,
				(reading, locator, shims, lockOffset, retainerLanding) => {
					const parts = { locator, shims, lockOffset, retainerLanding };
					const bare = bareHeight(reading, { ...nothing, ...parts });
					expect(installedHeight(bare, parts)).toBeCloseTo(reading, 9);
				}
			)
		);
	});

	it('makes the spring shorter with a shim and taller with plus locks', () => {
		const build = { locator: mm(1.5), shims: mm(0), lockOffset: mm(0), retainerLanding: mm(0) };
		const height = installedHeight(mm(48), build);
		expect(installedHeight(mm(48), { ...build, shims: mm(0.75) })).toBeCloseTo(height - 0.75, 9);
		expect(installedHeight(mm(48), { ...build, lockOffset: mm(1.27) })).toBeCloseTo(
			height + 1.27,
			9
		);
	});

	it('gives the inner spring less by step and rise', () => {
		expect(innerHeight(inches(1.815), inches(0.105), inches(0.02))).toBeCloseTo(inches(1.69), 9);
	});

	it('moves the seal gap with locks, seal and grinding, never with shims', () => {
		const gap = sealGap(inches(0.6), {
			measuredOffset: mm(0),
			offset: inches(0.05),
			sealTaller: inches(0.02),
			undersideHigher: inches(0.01)
		});
		expect(gap).toBeCloseTo(inches(0.64), 9);
	});

	it('leaves what the lift does not use', () => {
		expect(coilBindMargin(inches(1.815), inches(0.54), inches(1.18))).toBeCloseTo(inches(0.095), 9);
		expect(sealClearance(inches(0.59), inches(0.54))).toBeCloseTo(inches(0.05), 9);
	});
});

describe('standing apart', () => {
	it('takes the median of even and odd counts', () => {
		expect(median([3, 1, 2])).toBe(2);
		expect(median([4, 1, 2, 3])).toBe(2.5);
		expect(median([])).toBeNaN();
	});

	it('reaches at least the least, and 3.5 scaled deviations otherwise', () => {
		expect(medianBand([10, 10, 10, 10.1], 0.25, 3.5)).toEqual({ median: 10, reach: 0.25 });
		// deviations from 11.5: 1.5 0.5 0.5 1.5, median 1, × 1.4826 × 3.5 = 5.1891
		const middle = medianBand([10, 11, 12, 13], 0.25, 3.5)!;
		expect(middle.reach).toBeCloseTo(5.1891, 6);
	});

	it('says nothing of three: none of them can be the odd one', () => {
		expect(medianBand([1, 2, 30], 0.25, 3.5)).toBeNull();
	});
	it('is never so wide that two odd ones among four hide each other', () => {
		// deviations 0.5, 0.5, 1, 1: scaled 1.11, × 3.5 = 3.9 without a limit
		const middle = medianBand([10, 10, 12, 13], 0.25, 3.5, 0.6)!;
		expect(middle.reach).toBe(0.6);
		expect(medianBand([10, 10.1, 9.9, 10], 0.25, 3.5, 0.6)!.reach).toBeCloseTo(0.259, 2);
	});
});

const layout = (change: Partial<Layout>): Layout => ({
	arrangement: 'inline',
	cylinders: 4,
	valvesPerCylinder: 2,
	numbering: 'bank-by-bank',
	pairing: 'mirrored',
	...change
});
const labels = (change: Partial<Layout>) =>
	stationsOf(layout(change)).map((station) => station.label);

describe('layouts', () => {
	it('lays valves mirrored or repeated along the head', () => {
		expect(labels({ cylinders: 3 })).toEqual(['1I', '1E', '2E', '2I', '3I', '3E']);
		expect(labels({ cylinders: 3, pairing: 'alternating' }).slice(2, 4)).toEqual(['2I', '2E']);
	});

	it('numbers two heads bank by bank or alternating', () => {
		const v6: Partial<Layout> = { arrangement: 'V', cylinders: 6 };
		const cylinders = (change: Partial<Layout>) => [
			...new Set(stationsOf(layout(change)).map((station) => station.head + station.cylinder))
		];
		expect(cylinders(v6)).toEqual(['A1', 'A2', 'A3', 'B4', 'B5', 'B6']);
		expect(cylinders({ ...v6, numbering: 'alternating' })).toEqual([
			'A1',
			'A3',
			'A5',
			'B2',
			'B4',
			'B6'
		]);
	});

	it('tells valves of a kind apart by a and b where a cylinder has four', () => {
		expect(labels({ cylinders: 1, valvesPerCylinder: 4 })).toEqual(['1Ia', '1Ea', '1Ib', '1Eb']);
	});

	it('has every station once, in its own place, for every layout', () => {
		fc.assert(
			fc.property(
				fc.record({
					arrangement: fc.constantFrom('inline', 'V', 'flat'),
					cylinders: fc.integer({ min: 1, max: 8 }).map((half) => half * 2),
					valvesPerCylinder: fc.constantFrom(2, 4),
					numbering: fc.constantFrom('bank-by-bank', 'alternating'),
					pairing: fc.constantFrom('mirrored', 'alternating')
				}) as fc.Arbitrary<Layout>,
				(any) => {
					const stations = stationsOf(any);
					const places = stations.map((s) => `${s.head} ${s.along} ${s.across}`);
					expect(stations.length).toBe(any.cylinders * any.valvesPerCylinder);
					expect(new Set(stations.map((s) => s.label)).size).toBe(stations.length);
					expect(new Set(places).size).toBe(stations.length);
					expect(stations.every((s) => headsOf(any).some((head) => head.id === s.head))).toBe(true);
				}
			)
		);
	});

	it('refuses five cylinders on two heads', () => {
		expect(() => stationsOf(layout({ arrangement: 'V', cylinders: 5 }))).toThrow(RangeError);
	});
});

describe('walking orders', () => {
	const stations = stationsOf(layout({ cylinders: 2 }));
	it.each([
		['along-the-head', '1I 1E 2E 2I'],
		['by-cylinder', '1I 1E 2I 2E'],
		['intakes-then-exhausts', '1I 2I 1E 2E']
	] as const)('%s: %s', (order, expected) => {
		expect(
			walk(stations, order)
				.map((s) => s.label)
				.join(' ')
		).toBe(expected);
	});
	it('goes head by head, whatever the cylinders are numbered', () => {
		const V = stationsOf(layout({ arrangement: 'V', cylinders: 4, numbering: 'alternating' }));
		const walked = (order: Parameters<typeof walk>[1]) =>
			walk(V, order)
				.map(({ label }) => label)
				.join(' ');
		expect(walked('by-cylinder')).toBe('1I 1E 3I 3E 2I 2E 4I 4E');
		expect(walked('intakes-then-exhausts')).toBe('1I 3I 1E 3E 2I 4I 2E 4E');
	});
});
