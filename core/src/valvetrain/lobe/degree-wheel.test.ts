import { describe, expect, it } from 'vitest';
import { mm } from '../../foundation/units/index.ts';
import { wheelRows, wheelScatter, type WheelRound } from './degree-wheel.ts';

const round: WheelRound = {
	start: -20,
	at: 'valve',
	passes: [
		[mm(0), mm(1), mm(3), mm(4)],
		[mm(0.1), mm(1), mm(2.9)]
	]
};

describe('a degree-wheel round', () => {
	it('averages the stops that both passes have', () => {
		expect(wheelRows(round)).toEqual([
			['crank degrees', 'valve lift mm'],
			['-20', '0.0500'],
			['-10', '1.0000'],
			['0', '2.9500']
		]);
	});
	it('tells the scatter of one reading from the two passes', () => {
		expect(wheelScatter(round)).toBeCloseTo(Math.sqrt(0.02 / 3 / 2), 6);
		expect(
			wheelScatter({
				...round,
				passes: [
					[mm(0), mm(1)],
					[mm(0), mm(1)]
				]
			})
		).toBeNull();
	});
});
