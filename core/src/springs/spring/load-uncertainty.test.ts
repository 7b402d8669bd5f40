/** How well a load from a curve is known (docs/trade/springs.md). */
import { describe, expect, it } from 'vitest';
import { inches, mm, newtons, newtonsPerMm } from '../../foundation/units/index.ts';
import {
	beyondTested,
	cardCurve,
	heightForLoad,
	loadUncertainty,
	localRate,
	pointCurve,
	testedCurve
} from './index.ts';

const LBF = 4.4482216152605;
const perInch = (lbf: number) => newtonsPerMm((lbf * LBF) / 25.4);
const pounds = (lbf: number) => newtons(lbf * LBF);
const HEIGHT = inches(1.82);
/** What a height is known to in these examples, in mm. */
const KNOWN = inches(0.00205);

describe('the load of a card', () => {
	const card = cardCurve({ height: HEIGHT, load: pounds(140) }, perInch(200), inches(1.15));
	it('is known as well as its height: 0.00205 in at 200 lbf/in is 0.41 lbf', () => {
		expect(loadUncertainty(card, HEIGHT, KNOWN) / LBF).toBeCloseTo(0.41, 3);
	});
	it('is not known at all by a height where the card has none', () => {
		expect(loadUncertainty(card, inches(1), KNOWN)).toBe(0);
	});
	it('without a rate is never taken for exact', () => {
		const point = pointCurve({ height: HEIGHT, load: pounds(140) });
		expect(loadUncertainty(point, HEIGHT, KNOWN) / LBF).toBeCloseTo(7, 3);
	});
});

describe('the load of a tested spring', () => {
	const tested = testedCurve(
		[1.9, 1.86, 1.82, 1.78, 1.74].map((height) => ({
			height: inches(height),
			load: pounds(140 + 400 * (1.82 - height))
		}))
	);
	it('goes by the rate of its own curve, and by the tester: 0.82 and 4.2 lbf', () => {
		expect(localRate(tested, HEIGHT)! / perInch(1)).toBeCloseTo(400, 6);
		const height = 0.82;
		const tester = 1.96 * 140 * Math.hypot(0.01, 0.02 / Math.sqrt(3));
		expect(loadUncertainty(tested, HEIGHT, KNOWN) / LBF).toBeCloseTo(Math.hypot(height, tester), 2);
	});
	it('goes by its tester’s own checks where they came with it', () => {
		const checked = { ...tested, deviation: 0.004 };
		const half = Math.hypot(0.82, 1.96 * 140 * 0.004);
		expect(loadUncertainty(checked, HEIGHT, KNOWN) / LBF).toBeCloseTo(half, 2);
		const goesOn = cardCurve({ height: inches(1.74), load: pounds(172) }, perInch(400), inches(1));
		expect(beyondTested(checked, goesOn).deviation).toBe(0.004);
	});
	it('has a rate at its ends as well, and none beyond', () => {
		expect(localRate(tested, inches(1.9))! / perInch(1)).toBeCloseTo(400, 6);
		expect(localRate(tested, mm(80))).toBeNull();
	});
});

describe('the height for a load of a tested spring whose card goes on', () => {
	// 300 lbf at the lowest height that was tested; the card's line has 280 just below it.
	const tested = testedCurve(
		[1.82, 1.6, 1.4].map((height) => ({
			height: inches(height),
			load: pounds(300 - 400 * (height - 1.4))
		}))
	);
	const card = cardCurve({ height: inches(1.4), load: pounds(280) }, perInch(400), inches(1.1));
	const both = beyondTested(tested, card);
	it.each([200, 290, 300, 310, 390])('of %d lbf gives that load there', (wanted) => {
		const height = heightForLoad(both, pounds(wanted));
		expect(both.load(height!)! / LBF).toBeCloseTo(wanted, 3);
	});
	it('does not exist when the load falls into the jump', () => {
		const higher = cardCurve({ height: inches(1.4), load: pounds(330) }, perInch(400), inches(1.1));
		expect(heightForLoad(beyondTested(tested, higher), pounds(315))).toBeNull();
	});
});
