import { describe, expect, it } from 'vitest';
import { fit, leastSquares } from './index.ts';

const ones = (count: number) => new Float64Array(count).fill(1);

describe('least squares', () => {
	it('finds the polynomial that points lie on', () => {
		const xs = [0, 1, 2, 3, 4];
		const basis = xs.map((x) => Float64Array.of(1, x, x * x));
		const values = Float64Array.from(xs, (x) => 3 - 2 * x + 0.5 * x * x);
		const found = leastSquares(basis, values, ones(5))!;
		expect([...found].map((value) => Number(value.toFixed(9)))).toEqual([3, -2, 0.5]);
	});
	it('does not tell apart what the points cannot', () => {
		const basis = [1, 2, 3].map((x) => Float64Array.of(x, 2 * x));
		expect(leastSquares(basis, Float64Array.of(1, 2, 3), ones(3))).toBeNull();
		expect(fit(basis, Float64Array.of(1, 2, 3), ones(3))).toBeNull();
	});
	it('says how well a mean is known, and what it leaves', () => {
		// Four readings with a standard deviation of 0.2: their mean has 0.2 ÷ √4 = 0.1.
		const basis = Array.from({ length: 4 }, () => Float64Array.of(1));
		const found = fit(basis, Float64Array.of(9, 11, 9, 11), new Float64Array(4).fill(1 / 0.04))!;
		expect(found.coefficients[0]).toBeCloseTo(10, 12);
		expect(found.deviations[0]).toBeCloseTo(0.1, 12);
		// Each is off by 1, five standard deviations: 4 × 25.
		expect(found.left).toBeCloseTo(100, 9);
	});
	it('counts a point by its weight', () => {
		const basis = [Float64Array.of(1), Float64Array.of(1)];
		// (3 × 10 + 1 × 14) ÷ 4 = 11.
		expect(leastSquares(basis, Float64Array.of(10, 14), Float64Array.of(3, 1))![0]).toBeCloseTo(11);
	});
});
