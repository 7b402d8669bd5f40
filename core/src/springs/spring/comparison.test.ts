import { describe, expect, it } from 'vitest';
import { mm, newtons, newtonsPerMm } from '../../foundation/units/index.ts';
import { comparisonAt, comparisonOver } from './comparison.ts';
import { cardCurve, testedCurve } from './curve.ts';

const card = (load: number) =>
	cardCurve({ height: mm(46), load: newtons(load) }, newtonsPerMm(60), mm(30));
const pair = [
	{ curve: card(500), height: mm(46) },
	{ curve: card(550), height: mm(46) }
] as const;

describe('two springs beside each other', () => {
	it('at one height differ by what their loads differ, and by its part of the first', () => {
		expect(comparisonAt(pair, mm(10))).toEqual({
			lift: 10,
			heights: [36, 36],
			loads: [1100, 1150],
			difference: 50,
			part: 1150 / 1100 - 1
		});
	});
	it('each at its own height stand at the same lift', () => {
		const own = [pair[0], { ...pair[1], height: mm(45) }] as const;
		const { heights, difference } = comparisonAt(own, mm(10));
		expect(heights).toEqual([36, 35]);
		expect(difference).toBe(110);
	});
	it('are told in even steps, full lift last, also where it is no whole step', () => {
		const lifts = (lift: number, step: number) =>
			comparisonOver(pair, mm(lift), mm(step)).map((row) => row.lift);
		expect(lifts(10, 5)).toEqual([0, 5, 10]);
		expect(lifts(11, 5)).toEqual([0, 5, 10, 11]);
		// 0.540 in of 0.020 in: the floating point makes no row of its own
		expect(lifts(13.716, 0.508)).toHaveLength(28);
	});
	it('are not told where one was not tested', () => {
		const curve = testedCurve([
			{ height: mm(46), load: newtons(480) },
			{ height: mm(40), load: newtons(800) }
		]);
		const { loads, difference, part } = comparisonAt([pair[0], { curve, height: mm(46) }], mm(10));
		expect(loads).toEqual([1100, null]);
		expect([difference, part]).toEqual([null, null]);
	});
	it('take no step that leads nowhere', () => {
		expect(() => comparisonOver(pair, mm(10), mm(0))).toThrow(RangeError);
		expect(() => comparisonOver(pair, mm(10), mm(0.01))).toThrow(RangeError);
	});
});
