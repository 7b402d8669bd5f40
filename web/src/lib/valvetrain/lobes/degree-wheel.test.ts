import { describe, expect, it } from 'vitest';
import { storedRound, wheelRows, wheelScatter, type WheelRound } from './degree-wheel';

const round: WheelRound = {
	start: -20,
	passes: [
		[0, 1, 3, 4],
		[0.1, 1, 2.9]
	]
};

describe('a degree-wheel round', () => {
	it('averages the stops that both passes cover', () => {
		expect(wheelRows(round, 'mm', 'lobe')).toEqual([
			['crank degrees', 'lobe lift mm'],
			['-20', '0.05000'],
			['-10', '1.00000'],
			['0', '2.95000']
		]);
	});
	it('tells the scatter of one reading from the two passes', () => {
		expect(wheelScatter(round)).toBeCloseTo(Math.sqrt(0.02 / 3 / 2), 6);
		expect(
			wheelScatter({
				...round,
				passes: [
					[0, 1],
					[0, 1]
				]
			})
		).toBeNull();
	});
	it('is taken up again where it was left, and begins anew from what is none', () => {
		expect(storedRound(JSON.stringify(round))).toEqual(round);
		for (const text of [null, '', '{}', '{"start":0,"passes":[[1],["x"]]}'])
			expect(storedRound(text).passes).toEqual([[], []]);
	});
});
