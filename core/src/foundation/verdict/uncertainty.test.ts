import { describe, expect, it } from 'vitest';
import { normal, randomFrom } from '../../springs/sweep/index.ts';
import {
	betweenPeople,
	combinedUncertainty,
	expandedUncertainty,
	pooled,
	studentFactor
} from './uncertainty.ts';

describe('uncertainty', () => {
	it('is 1.96 × resolution ÷ √12 for one gauge that repeats exactly', () => {
		// 0.001 in = 0.0254 mm; ÷ 3.4641 = 0.0073323; × 1.96 = 0.0143711
		expect(expandedUncertainty({ resolution: 0.0254 })).toBeCloseTo(0.0143711, 6);
	});
	it('adds all parts in quadrature, with Student’s factor of the effective degrees of freedom', () => {
		// repeats 1 and 3: sd √2 known by one degree, of their mean 1; correction 2: u² = 5, ν = 25, t = 2.0595
		expect(
			expandedUncertainty({
				resolution: 0,
				count: 2,
				repeatability: pooled([[1, 3]]),
				correction: 2
			})
		).toBeCloseTo(2.0595 * Math.sqrt(5), 3);
	});
	it('is shrunk by repeats in what repeats alone, not in people, correction or an unchecked bias', () => {
		const known = { deviation: 1, freedom: Number.POSITIVE_INFINITY };
		const of = (count: number) =>
			expandedUncertainty({
				resolution: 0,
				count,
				repeatability: known,
				betweenPeople: known,
				correction: 2,
				bias: 3
			});
		expect(of(1)).toBeCloseTo(1.96 * Math.sqrt(1 + 1 + 4 + 3), 3);
		expect(of(4)).toBeCloseTo(1.96 * Math.sqrt(0.25 + 1 + 4 + 3), 3);
	});
	it('tells how far people differ beyond their own repeats, from three on', () => {
		const thing = (...means: number[]) => new Map(means.map((mean, i) => [`${i}`, [mean, mean]]));
		const single = { deviation: 0.5, freedom: 9 };
		expect(betweenPeople([thing(1, 2)], single)).toBeNull();
		// D² is 1, 1 and 4: mean 2, less 0.25 × (1/2 + 1/2), of that one half
		const three = betweenPeople([thing(1, 2, 3)], single)!;
		expect(three.deviation).toBeCloseTo(Math.sqrt((2 - 0.25) / 2), 9);
		expect(three.freedom).toBe(2);
		expect(betweenPeople([thing(1, 1, 1)], single)!.deviation).toBe(0);
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
		[1, 10],
		[1, 30],
		[2, 10],
		[3, 10],
		[3, 30],
		[5, 10],
		[5, 30]
	])('with %i repeats and a pool of %i pairs, at every spread', (count, poolSets) => {
		for (const spread of spreads) {
			const held = coverage(spread, count, poolSets);
			expect(held, `spread ${spread} × resolution`).toBeGreaterThanOrEqual(0.94);
			if (spread >= 2) expect(held, `spread ${spread} × resolution`).toBeLessThanOrEqual(0.97);
		}
	});
});
