import { headFactorBy, readingsOfSame } from './same-things.ts';
import { describe, expect, it } from 'vitest';
import {
	compareGauges,
	corrected,
	correctionFrom,
	headFactor,
	NO_CORRECTION
} from './correction.ts';

describe('a gauge’s correction', () => {
	it('is none without a check, an offset with one', () => {
		expect(correctionFrom([])).toBe(NO_CORRECTION);
		expect(correctionFrom([{ reference: 40, read: 40.03 }])).toMatchObject({ gain: 1 });
		expect(correctionFrom([{ reference: 40, read: 40.03 }]).offset).toBeCloseTo(-0.03, 9);
	});
	it('is a line through several: 10 read 10.02, 50 read 50.06', () => {
		// gain 40 ÷ 40.04 = 0.999001; offset 10 − 0.999001 × 10.02 = −0.00999
		const line = correctionFrom([
			{ reference: 10, read: 10.02 },
			{ reference: 50, read: 50.06 }
		]);
		expect(line.gain).toBeCloseTo(0.999001, 6);
		expect(line.offset).toBeCloseTo(-0.00999, 5);
		expect(line.residuals.every((residual) => Math.abs(residual) < 1e-9)).toBe(true);
		expect(corrected(30.04, line)).toBeCloseTo(30, 6);
	});
	it('shows what a line does not explain', () => {
		const { residuals } = correctionFrom([
			{ reference: 100, read: 101 },
			{ reference: 200, read: 204 },
			{ reference: 300, read: 303 }
		]);
		expect(Math.max(...residuals.map(Math.abs))).toBeGreaterThan(1);
		expect(residuals.reduce((sum, residual) => sum + residual, 0)).toBeCloseTo(0, 9);
	});
	it('of several checks at one height is their mean offset', () => {
		const { gain, offset } = correctionFrom([
			{ reference: 40, read: 40.02 },
			{ reference: 40, read: 40.02 }
		]);
		expect([gain, Number(offset.toFixed(9))]).toEqual([1, -0.02]);
	});
});

describe('two gauges on the same springs', () => {
	it('that differ by more than they scatter disagree', () => {
		const pairs = [
			[600, 690],
			[580, 665],
			[610, 702]
		] as const;
		expect(compareGauges(pairs)).toMatchObject({ disagree: true });
		expect(compareGauges(pairs)!.difference).toBeCloseTo(0.149, 3);
	});
	it('that scatter about each other agree; one pair says nothing', () => {
		expect(
			compareGauges([
				[600, 603],
				[580, 577],
				[610, 611]
			])!.disagree
		).toBe(false);
		expect(compareGauges([[600, 700]])).toBeNull();
	});
	it('give the factor of an on-head tester', () => {
		expect(
			headFactor([
				{ bench: 600, head: 500 },
				{ bench: 640, head: 533.333333 }
			])
		).toBeCloseTo(1.2, 6);
		expect(headFactor([])).toBeNull();
	});
});

describe('two gauges on the same springs', () => {
	const check = (against: string, reference: string, read: string) => ({
		id: crypto.randomUUID(),
		gauge: crypto.randomUUID(),
		against,
		reference,
		read,
		person: crypto.randomUUID(),
		at: '2026-10-05T08:00:00.000Z'
	});
	it('are held against each other where things are called the same and read alike', () => {
		const own = [check('spring A', '100 N', '102 N'), check('block', '50 mm', '50.01 mm')];
		const other = [
			check('spring A', '100 N', '98 N'),
			check('spring A', '100 N', '97 N'),
			check('block', '50 mm', '480 N')
		];
		expect(readingsOfSame(own, other)).toEqual([[102, 98]]);
	});
	it('give an on-head tester its factor by the checks in force', () => {
		expect(headFactorBy([])).toBeNull();
		expect(headFactorBy([check('spring A', '500 N', '400 N')])).toBeCloseTo(1.25, 9);
	});
});
