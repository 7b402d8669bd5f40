/** The compliant model against what must be so of any: energy, halved steps, a stiff train. */
import { describe, expect, it } from 'vitest';
import { madeUpLobe } from '../lobe/index.ts';
import { cardCurve } from '../../springs/spring/index.ts';
import { kilograms, mm, newtons, newtonsPerMm } from '../../foundation/units/index.ts';
import { motionAt, separationSpeed, STEP } from './compliant.ts';
import type { CompliantTrain } from './motion.ts';
import { rigidLimit } from './rigid-limit.ts';

const train = (more: Partial<CompliantTrain> = {}): CompliantTrain => ({
	lobe: madeUpLobe({ lift: mm(8), durations: [{ lift: mm(1.27), degrees: 250 }] }),
	ratio: 1.5,
	lash: mm(0),
	curve: cardCurve({ height: mm(46), load: newtons(550) }, newtonsPerMm(60), mm(25)),
	height: mm(46),
	mass: kilograms(0.24),
	stiffness: 4e6,
	damping: 120,
	seat: { stiffness: 5e7, damping: 800 },
	...more
});
const UNDAMPED = { damping: 0, seat: { stiffness: 5e7, damping: 0 } };

describe('a valve on a train that gives', () => {
	it('without damping keeps what the cam puts in', () => {
		for (const speed of [3000, 5000, 6500]) {
			const { energy, maxForce } = motionAt(train(UNDAMPED), speed)!;
			// Held against what goes through it: the spring squeezed, some 11 J.
			expect(Math.abs(energy.gained - energy.put)).toBeLessThan(0.001 * 11);
			expect(maxForce).toBeGreaterThan(1200);
		}
	});
	it('comes to the same with half the step', () => {
		const [whole, half] = [STEP, STEP / 2].map((step) => motionAt(train(), 5000, step)!);
		expect(whole!.seatingVelocity! / half!.seatingVelocity!).toBeCloseTo(1, 3);
		const speeds = [STEP, STEP / 2].map((step) =>
			separationSpeed(train(), 4000, 14_000, { step })!
		);
		expect(Math.abs(speeds[0]! / speeds[1]! - 1)).toBeLessThan(2e-4);
	});
	it('parts below the rigid limit, and tends to it as it gets stiffer', () => {
		const rigid = rigidLimit(train())!.speed;
		// Damped so that the knock of the ramp has died away where the train might part.
		const ratios = [1, 4, 16, 64].map((by) => {
			const stiff = train({ stiffness: 4e6 * by, damping: 600 * Math.sqrt(by) });
			return separationSpeed(stiff, 3000, 16_000)! / rigid;
		});
		expect(ratios).toEqual(ratios.toSorted((a, b) => a - b));
		expect(ratios[0]).toBeLessThan(0.9);
		expect(Math.abs(ratios[3]! - 1)).toBeLessThan(0.001);
	});
	it('with little damping parts earlier: the ramp has set it swinging', () => {
		const speed = (damping: number) => separationSpeed(train({ damping }), 3000, 16_000)!;
		expect(speed(120)).toBeLessThan(speed(600));
	});
	it('meets its seat at the speed of its ramp while it is held, and harder once it has parted', () => {
		const slow = motionAt(train({ damping: 600 }), 1500)!;
		// 0.012 mm a degree of the cam, by the ratio, at 750 rpm of it, which is 4500° a second
		expect(slow.parted).toBe(0);
		expect(Math.abs(slow.seatingVelocity! / (0.012e-3 * 1.5 * 4500) - 1)).toBeLessThan(0.1);
		const fast = separationSpeed(train(), 3000, 16_000)! * 1.1;
		expect(motionAt(train(), fast)!.parted).toBeGreaterThan(0);
	});
	it('is not told where the spring is not known', () => {
		expect(motionAt(train({ height: mm(33) }), 3000)).toBeNull();
		expect(separationSpeed(train({ height: mm(33) }), 3000, 9000)).toBeNull();
		expect(separationSpeed(train(), 1000, 1500)).toBeNull();
	});
});
