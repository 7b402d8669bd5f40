import { describe, expect, it } from 'vitest';
import { scaleOf } from './scale.ts';

describe('a scale', () => {
	it('puts a figure in the middle of its band in the middle', () => {
		const scale = scaleOf(10, [
			{ side: 'floor', at: 9 },
			{ side: 'ceiling', at: 11 }
		])!;
		expect(scale.at).toBeCloseTo(50, 6);
		expect(scale.from).toBeLessThan(scale.at);
		expect(scale.to).toBeGreaterThan(scale.at);
	});
	it('takes the tightest limits, and keeps a figure far off on the scale', () => {
		const limits = [
			{ side: 'floor', at: 1 },
			{ side: 'floor', at: 2 },
			{ side: 'ceiling', at: 4 }
		] as const;
		expect(scaleOf(2, limits)!.from).toBeCloseTo(scaleOf(2, limits.slice(1))!.from, 6);
		expect(scaleOf(-500, limits)!.at).toBe(1.5);
		expect(scaleOf(500, limits)!.at).toBe(98.5);
	});
	it('is open below a ceiling alone, and puts what is beyond it outside the band', () => {
		const limits = [{ side: 'ceiling', at: 10 }] as const;
		expect(scaleOf(8, limits)!.from).toBe(0);
		const beyond = scaleOf(12, limits)!;
		expect(beyond.at).toBeGreaterThan(beyond.to);
		expect(scaleOf(8, limits)!.at).toBeLessThan(beyond.to);
		expect(scaleOf(10, limits)!.at).toBeCloseTo(beyond.to, 6);
	});
	it('is open above a floor alone, and is none without limits', () => {
		expect(scaleOf(3, [{ side: 'floor', at: 1 }])!.to).toBe(100);
		expect(scaleOf(3, [])).toBeNull();
	});
});
