import { describe, expect, it } from 'vitest';
import { normal, randomFrom } from '../sweep/index.ts';
import {
	combinedUncertainty,
	expandedUncertainty,
	pooled,
	studentFactor,
	together
} from './uncertainty.ts';

describe('uncertainty', () => {
	it('is 1.96 × resolution ÷ √12 for one gauge that repeats exactly', () => {
		// 0.001 in = 0.0254 mm; ÷ 3.4641 = 0.0073323; × 1.96 = 0.0143711
		expect(expandedUncertainty({ resolution: 0.0254 })).toBeCloseTo(0.0143711, 6);
	});
	it('adds repeats by Student’s factor, and the correction, in quadrature', () => {
		// repeats 1 and 3: sd √2 known by one degree, of their mean 1 × 12.706; correction 2 × 1.96
		expect(
			expandedUncertainty({
				resolution: 0,
				count: 2,
				repeatability: pooled([[1, 3]]),
				correction: 2
			})
		).toBeCloseTo(Math.hypot(12.7062, 3.91993), 3);
	});
	it('shrinks with what is known of the gauge, not with one lucky pair', () => {
		const half = (freedom: number) =>
			expandedUncertainty({ resolution: 0, count: 2, repeatability: { deviation: 1, freedom } });
		expect(half(1)).toBeGreaterThan(4 * half(10));
		expect(half(Number.POSITIVE_INFINITY)).toBeCloseTo(1.96 / Math.SQRT2, 3);
	});
	it('pools sets about their own means', () => {
		expect(
			pooled([
				[1, 3],
				[10, 10]
			])
		).toEqual({ deviation: 1, freedom: 2 });
		expect(pooled([[5]])).toBeNull();
		expect(
			together({ deviation: 1, freedom: 2 }, { deviation: 2, freedom: 2 })!.deviation
		).toBeCloseTo(Math.sqrt(2.5), 12);
		const stated = { deviation: 3, freedom: Number.POSITIVE_INFINITY };
		expect(together({ deviation: 1, freedom: 2 }, stated)).toBe(stated);
	});
	it('has Student’s factors of the tables', () => {
		const table = [12.706, 4.303, 3.182, 2.776, 2.571, 2.447];
		table.forEach((factor, i) =>
			expect(Math.abs(studentFactor(i + 1) / factor - 1)).toBeLessThan(0.002)
		);
		expect(studentFactor(30)).toBeCloseTo(2.042, 3);
	});
	it('combines what does not depend on each other', () => {
		expect(combinedUncertainty(3, 4)).toBe(5);
	});
});

describe('“95 %” holds the truth', () => {
	/** Part of figures whose interval holds the true value, read by a gauge that scatters and rounds. */
	function coverage(spread: number, count: number, poolSets: number): number {
		const random = randomFrom(1000 * spread + 10 * count + poolSets);
		const runs = 4000;
		let held = 0;
		for (let run = 0; run < runs; run++) {
			const truth = random();
			const read = (of: number) => Math.round(of + spread * normal(random));
			const own = Array.from({ length: count }, () => read(truth));
			const sets = Array.from({ length: poolSets }, () => {
				const other = random();
				return [read(other), read(other)];
			});
			const half = expandedUncertainty({
				resolution: 1,
				count,
				repeatability: pooled([...sets, own])
			});
			const mean = own.reduce((sum, value) => sum + value, 0) / count;
			if (Math.abs(mean - truth) <= half) held++;
		}
		return held / runs;
	}
	const spreads = [0, 0.2, 0.5, 1, 2, 4, 10];
	it.each([
		[1, 5],
		[1, 30],
		[2, 0],
		[2, 5],
		[2, 30],
		[3, 0],
		[3, 30],
		[5, 0],
		[5, 30]
	])('with %i repeats and a pool of %i pairs, at every spread', (count, poolSets) => {
		for (const spread of spreads) {
			const held = coverage(spread, count, poolSets);
			expect(held, `spread ${spread} × resolution`).toBeGreaterThanOrEqual(0.93);
			if (spread >= 2) expect(held, `spread ${spread} × resolution`).toBeLessThanOrEqual(0.97);
		}
	});
});
