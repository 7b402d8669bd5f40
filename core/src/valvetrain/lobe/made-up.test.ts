import { describe, expect, it } from 'vitest';
import { mm } from '../../foundation/units/index.ts';
import { camDegrees, crankDegrees, durationAt } from './lobe.ts';
import { madeUpLobe, USUAL_RAMP, type Duration } from './made-up.ts';

const at = (lift: number, degrees: number): Duration => ({ lift: mm(lift), degrees });
const lobe = madeUpLobe({ lift: mm(9), durations: [at(1.27, 240)] });

describe('a lobe made up from lift and duration', () => {
	it('has its lift at the peak, its duration at the lift it was given for, and says that it is made up', () => {
		expect(lobe.at(0).lift).toBe(9);
		expect(durationAt(lobe, 1.27)).toBeCloseTo(240, 6);
		expect(durationAt(lobe, 9)).toBe(0);
		expect(lobe.origin).toBe('made-up');
	});
	it('is the same on both flanks, and at rest beyond its ramps', () => {
		for (const angle of [0.2, 0.6, 1]) {
			const [left, right] = [lobe.at(-angle), lobe.at(angle)];
			expect(left.lift).toBeCloseTo(right.lift, 12);
			expect(left.velocity).toBeCloseTo(-right.velocity, 12);
			expect(left.acceleration).toBeCloseTo(right.acceleration, 12);
		}
		expect(lobe.at(lobe.closes + 0.01)).toEqual({ lift: 0, velocity: 0, acceleration: 0, jerk: 0 });
		expect(lobe.at(lobe.closes - 1e-9).lift).toBeCloseTo(0, 6);
	});
	it('meets its ramp without a step in lift, velocity, acceleration or jerk', () => {
		const perRadian = USUAL_RAMP.perDegree / camDegrees(1);
		const meets = lobe.closes - USUAL_RAMP.height / perRadian;
		const flank = lobe.at(meets - 1e-9);
		expect(flank.lift).toBeCloseTo(USUAL_RAMP.height, 6);
		expect(flank.velocity).toBeCloseTo(-perRadian, 5);
		expect(flank.acceleration).toBeCloseTo(0, 4);
		expect(flank.jerk).toBeCloseTo(0, 3);
	});
	it('moves as its derivatives say', () => {
		const h = 1e-5;
		for (const angle of [-0.9, -0.4, 0.1, 0.5, 0.8]) {
			const [before, now, after] = [angle - h, angle, angle + h].map((one) => lobe.at(one));
			const slope = (of: 'lift' | 'velocity' | 'acceleration') =>
				(after![of] - before![of]) / (2 * h);
			expect(slope('lift')).toBeCloseTo(now!.velocity, 5);
			expect(slope('velocity')).toBeCloseTo(now!.acceleration, 4);
			expect(slope('acceleration')).toBeCloseTo(now!.jerk, 2);
		}
	});
	it('has a second duration where one is given: that shapes its flank', () => {
		const full = madeUpLobe({ lift: mm(9), durations: [at(1.27, 240), at(5, 150)] });
		const lean = madeUpLobe({ lift: mm(9), durations: [at(1.27, 240), at(5, 140)] });
		for (const [one, degrees] of [
			[full, 150],
			[lean, 140]
		] as const) {
			expect(durationAt(one, 1.27)).toBeCloseTo(240, 5);
			expect(durationAt(one, 5)).toBeCloseTo(degrees, 4);
		}
		expect(full.at(crankDegrees(60)).lift).toBeGreaterThan(lean.at(crankDegrees(60)).lift);
	});
	it('is none where no lobe has such durations', () => {
		expect(() => madeUpLobe({ lift: mm(9), durations: [at(0.1, 240)] })).toThrow(RangeError);
		expect(() => madeUpLobe({ lift: mm(9), durations: [at(9, 240)] })).toThrow(RangeError);
		expect(() => madeUpLobe({ lift: mm(9), durations: [at(1.27, 240), at(5, 239)] })).toThrow(
			RangeError
		);
	});
});
