import { describe, expect, it } from 'vitest';
import { stripOf } from './strip.ts';

const values = (...list: (number | null)[]) =>
	list.map((value, i) => ({ label: `${i + 1}I`, value }));

describe('a strip', () => {
	it('holds every figure and the band, higher figures higher', () => {
		const strip = stripOf(values(4.8, 5.1, null, 9), [4, 6])!;
		const at = strip.points.map((point) => point.at);
		expect(at[2]).toBeNull();
		expect(at[0]!).toBeLessThan(at[1]!);
		expect(at[3]!).toBeGreaterThan(strip.band![1]);
		for (const place of [at[0]!, at[3]!, ...strip.band!]) {
			expect(place).toBeGreaterThan(0);
			expect(place).toBeLessThan(1);
		}
	});
	it('puts the middle of a band half way', () => {
		expect(stripOf(values(5), [4, 6])).toMatchObject({ middle: 0.5, points: [{ at: 0.5 }] });
	});
	it('draws figures without a band, alike ones in the middle, and none without figures', () => {
		expect(stripOf(values(3, 3), null)).toMatchObject({
			band: null,
			points: [{ at: 0.5 }, { at: 0.5 }]
		});
		expect(stripOf(values(null), null)).toBeNull();
	});
});
