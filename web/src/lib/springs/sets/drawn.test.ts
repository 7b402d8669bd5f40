import { describe, expect, it } from 'vitest';
import { drawn } from './drawn';

const dense = Array.from({ length: 20_000 }, (_, i) => [54 - i / 1000, i] as const);

describe('a dense line on a chart', () => {
	it('is thinned, both ends kept', () => {
		const shown = drawn(dense);
		expect(shown).toHaveLength(600);
		expect(shown[0]).toBe(dense[0]);
		expect(shown.at(-1)).toBe(dense.at(-1));
	});
	it('shows every point of a narrow stretch, and the next one outside', () => {
		const shown = drawn(dense, 50, 50.1);
		expect(shown[0]![0]).toBeGreaterThan(50.1);
		expect(shown.at(-1)![0]).toBeLessThan(50);
		expect(shown.length).toBe(103);
	});
	it('leaves a sparse line as it is', () => {
		const sparse = dense.slice(0, 40);
		expect(drawn(sparse, 53.99, 53.995)).toBe(sparse);
	});
});
