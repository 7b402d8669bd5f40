/** Loads over service, and what becomes of springs that have run. */
import { describe, expect, it } from 'vitest';
import { dice } from './test/made-up.ts';
import { trendOf, type TrendPoint } from './trend.ts';
import { meanWithin, trendOfSet } from './set-trend.ts';
import { fateOf, type UsedSpring } from './used-spring.ts';

describe('a set over its service', () => {
	const visit = (hours: number, load: number, more = {}) => ({
		load,
		weakest: load,
		hours,
		runs: 0,
		kilometres: 0,
		...more
	});
	it('is none before it was tested or had run', () => {
		expect(trendOfSet([], 0.1)).toBeNull();
		expect(trendOfSet([visit(0, 300), visit(0, 299)], 0.1)).toBeNull();
	});
	it('is held against the part of its first load that may be lost', () => {
		const life = [visit(0, 300), visit(10, 294), visit(20, 292), visit(30, 290), visit(40, 288)];
		const trend = trendOfSet(life, 0.1)!;
		expect([trend.unit, trend.limit, trend.settled]).toEqual(['hours', 270, 6]);
		expect(trend.reaches!.at).toBeCloseTo(130, 0);
		expect(trendOfSet(life, 0.05)!.limit).toBe(285);
		const runs = life.map((one) => ({ ...one, hours: 0, runs: one.hours }));
		expect(trendOfSet(runs, 0.1)!.unit).toBe('runs');
	});
	it('follows the weakest spring, not the mean', () => {
		const life = [visit(0, 300), visit(10, 294), visit(20, 292), visit(30, 290), visit(40, 288)];
		// One spring loses three times as much: 270 N at 50 h, where the mean still has 286.
		const weak = life.map((one) => ({
			...one,
			weakest: 300 - (one.hours > 0 ? 3.5 : 0) - 0.53 * one.hours
		}));
		expect(trendOfSet(weak, 0.1)!.reaches!.at).toBeCloseTo(50, 0);
	});
	it('says as little of a batch as so few sets can', () => {
		expect(meanWithin(null, 1)).toBeNull();
		expect(meanWithin(0.01, 1)).toBeNull();
		expect(meanWithin(0.01, 2)).toBeCloseTo((12.706 * 0.01) / Math.SQRT2, 5);
		expect(meanWithin(0.01, 400)).toBeCloseTo((1.966 * 0.01) / 20, 5);
	});
});

describe('a load over service', () => {
	/** A spring of 600 N that settles by 12 N in its first run and loses 0.8 N an hour after it. */
	const looks = (services: readonly number[], noise: (i: number) => number = () => 0) =>
		services.map((service, i): TrendPoint => ({
			service,
			load: service === 0 ? 600 : 588 - 0.8 * (service - 1) + noise(i),
			uncertainty: 4
		}));
	it('tells settling apart, and draws no line before three looks after it', () => {
		const two = trendOf(looks([0, 1, 10]), 540);
		expect(two).toMatchObject({ settled: 12, slope: null, reaches: null });
		expect(trendOf(looks([0]), 540).settled).toBeNull();
		const three = trendOf(looks([0, 1, 10, 20]), 540);
		expect(three.slope!.value).toBeCloseTo(0.8, 9);
		// 588 − 0.8·(h − 1) is 540 after 61 hours.
		expect(three.reaches!.at).toBeCloseTo(61, 6);
		expect(three.reaches!.from).toBeLessThan(61);
		expect(three.reaches!.to!).toBeGreaterThan(61);
	});
	it('holds the truth within its band in 93 of 100', () => {
		const { normal } = dice(11);
		const held = Array.from({ length: 400 }, () => {
			const { slope, at } = trendOf(
				looks([0, 1, 12, 25, 40], () => (normal() * 4) / 1.96),
				540
			);
			const { load, uncertainty } = at!(55);
			return [
				Math.abs(slope!.value - 0.8) <= slope!.uncertainty,
				Math.abs(load - (588 - 0.8 * 54)) <= uncertainty
			];
		});
		for (const which of [0, 1])
			expect(held.filter((one) => one[which]).length / held.length).toBeGreaterThanOrEqual(0.93);
	});
	it('gives a soonest that is not beyond the true life where the loss accelerates', () => {
		const { normal, next } = dice(12);
		const held = Array.from({ length: 300 }, () => {
			// 588 N after the first run; the loss grows with the square of the hours, or faster.
			const [life, power] = [60 + 60 * next(), 1.5 + 1.5 * next()];
			const load = (hours: number) => 588 - 48 * (hours / life) ** power;
			const seen = [0.2, 0.35, 0.5, 0.6, 0.7].map((part) => part * life);
			const points = [
				{ service: 0, load: 600, uncertainty: 4 },
				{ service: 1, load: 588, uncertainty: 4 },
				...seen.map((service) => ({
					service,
					load: load(service) + (normal() * 4) / 1.96,
					uncertainty: 4
				}))
			];
			return trendOf(points, 540).reaches!.from <= life;
		});
		expect(held.filter(Boolean).length / held.length).toBeGreaterThanOrEqual(0.95);
	});
	it('does not call a straight loss accelerating more often than chance does', () => {
		const { normal } = dice(13);
		const bends = Array.from({ length: 300 }, () => {
			const points = looks([0, 1, 12, 25, 40], () => (normal() * 4) / 1.96);
			return trendOf(points, 540).isAccelerating;
		});
		expect(bends.filter(Boolean).length / bends.length).toBeLessThan(0.2);
	});
	it('reaches no limit where it does not fall, or all looks are of one service', () => {
		const flat = [0, 1, 10, 20, 30].map((service) => ({ service, load: 590, uncertainty: 4 }));
		expect(trendOf(flat, 540).reaches).toBeNull();
		expect(
			trendOf(
				[0, 5, 5, 5].map((service) => ({ service, load: 590, uncertainty: 4 })),
				540
			).slope
		).toBeNull();
	});
});

describe('a spring that has run', () => {
	const known = (value: number, uncertainty = 0) => ({ value, uncertainty });
	const sound: UsedSpring = {
		isDamaged: false,
		ownSag: null,
		sag: known(0.02, 0.01),
		sagLimit: 0.1,
		sagWatch: 0.05,
		isHeightOut: false,
		shim: 0,
		bindMargin: known(2, 0.1),
		bindFloor: 1.27,
		sealClearance: known(2, 0.1),
		sealFloor: 1.27,
		serviceLeft: 0.5,
		isReuseAllowed: true,
		fitsElsewhere: false
	};
	it.each<[string, Partial<UsedSpring>, string, string]>([
		['is used again where all is in order', {}, 'reuse', 'in-order'],
		['is shimmed where that brings its load back', { shim: 0.38 }, 'reshim', 'shim-brings-back'],
		['is replaced where the shop says so', { isReuseAllowed: false }, 'replace', 'policy'],
		['is replaced when its service is over', { serviceLeft: 0 }, 'replace', 'service-over'],
		['is replaced when it sagged', { sag: known(0.1) }, 'replace', 'sagged'],
		[
			'is replaced when shims would bind it',
			{ shim: 1, bindMargin: known(1.2) },
			'replace',
			'bind-short'
		],
		['waits where the seal is hit', { sealClearance: known(1) }, 'fix-first', 'seal-short'],
		[
			'does not change places for a seal',
			{ sealClearance: known(1), fitsElsewhere: true },
			'fix-first',
			'seal-short'
		],
		[
			'waits where no shim brings its height back',
			{ isHeightOut: true },
			'fix-first',
			'height-out'
		],
		['is watched at 7 % lost', { sag: known(0.07, 0.01) }, 'reuse', 'sag-watched'],
		[
			'goes where it fits',
			{ shim: 1, bindMargin: known(1.2), fitsElsewhere: true },
			'swap',
			'even-elsewhere'
		],
		[
			'is not passed with a loss too close to call',
			{ sag: known(0.095, 0.01) },
			'not-known',
			'too-close'
		],
		[
			'is not passed too near coil bind',
			{ bindMargin: known(1.3, 0.05) },
			'not-known',
			'margin-too-close'
		],
		[
			'is not passed too near the seal',
			{ sealClearance: known(1.3, 0.05) },
			'not-known',
			'margin-too-close'
		],
		['is not known before it was tested', { sag: null }, 'not-known', 'not-tested'],
		['is not cleared by a margin nobody read', { bindMargin: null }, 'not-known', 'margin-unknown'],
		['is not cleared by a shim nobody knows', { shim: null }, 'not-known', 'margin-unknown'],
		[
			'is replaced when it is cracked, however good it tests',
			{ isDamaged: true },
			'replace',
			'damaged'
		],
		[
			'is neither passed nor condemned by another tester without a reference',
			{ sag: known(0.12, 0.01), ownSag: known(0.05, 0.01) },
			'not-known',
			'tester-unchecked'
		],
		[
			'is not passed by another tester without a reference, however little it lost',
			{ sag: known(0.01, 0.01), ownSag: known(0, 0.01) },
			'not-known',
			'tester-unchecked'
		],
		[
			'is replaced when it lost more than the rest by the whole limit',
			{ sag: known(0.17, 0.01), ownSag: known(0.11, 0.01) },
			'replace',
			'sagged'
		]
	])('%s', (_, change, fate, reason) => {
		expect(fateOf({ ...sound, ...change })).toEqual({ fate, reason });
	});
});
