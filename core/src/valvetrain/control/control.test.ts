/** The rigid limit and surge, against what can be worked out by hand. */
import { describe, expect, it } from 'vitest';
import { madeUpLobe, type Lobe } from '../lobe/index.ts';
import { cardCurve } from '../../springs/spring/index.ts';
import {
	kilograms,
	mm,
	newtons,
	newtonsPerMm,
	type Kilograms
} from '../../foundation/units/index.ts';
import { rigidLimit, type RigidTrain } from './rigid-limit.ts';
import { surgeFrequency, surgeOrder } from './surge.ts';

/** A lobe that falls away from its peak as a stone does: the same acceleration all the way. */
const CONSTANT: Lobe = {
	origin: 'table',
	peak: mm(8),
	opens: -1,
	closes: 1,
	at: (angle) => ({
		lift: 8 - 8 * angle ** 2,
		velocity: -16 * angle,
		acceleration: -16,
		jerk: 0
	}),
	uncertainty: () => 0
};
const spring = (seat: number, rate: number) =>
	cardCurve({ height: mm(46), load: newtons(seat) }, newtonsPerMm(rate), mm(20));
const train = (more: Partial<RigidTrain> = {}): RigidTrain => ({
	lobe: CONSTANT,
	ratio: 1.5,
	lash: mm(0),
	curve: spring(500, 60),
	height: mm(46),
	mass: kilograms(0.2),
	...more
});
const limit = (more: Partial<RigidTrain> = {}) => rigidLimit(train(more))!.speed;

describe('the rigid limit', () => {
	it('of a constant acceleration is where the spring is weakest: closed', () => {
		// 500 N hold 0.2 kg at 1.5 · 0.016 m/rad² up to ω = √(500 ÷ 0.0048); N = 60 ω ÷ π
		const expected = (60 / Math.PI) * Math.sqrt(500 / (0.2 * 1.5 * 0.016));
		expect(limit({ curve: spring(500, 60) }) / expected).toBeCloseTo(1, 3);
		// A spring that is as strong at every lift tells it to the last digit, wherever it is read.
		const even = { ...spring(500, 60), load: () => newtons(500) };
		expect(limit({ curve: even }) / expected).toBeCloseTo(1, 12);
	});
	it('grows with √F and with 1 ÷ √m', () => {
		const lobe = madeUpLobe({ lift: mm(8), durations: [{ lift: mm(1.27), degrees: 250 }] });
		const base = limit({ lobe });
		expect(limit({ lobe, curve: spring(2000, 240) }) / base).toBeCloseTo(2, 9);
		expect(limit({ lobe, mass: 0.8 as Kilograms }) / base).toBeCloseTo(0.5, 9);
		expect(limit({ lobe, mass: 0.18 as Kilograms })).toBeGreaterThan(base);
	});
	it('lies off the nose: the force falls faster than what it has to hold', () => {
		const lobe = madeUpLobe({ lift: mm(8), durations: [{ lift: mm(1.27), degrees: 250 }] });
		const { angle, speed } = rigidLimit(train({ lobe }))!;
		expect(Math.abs(angle)).toBeGreaterThan(0.1);
		// No other angle is worse.
		for (let i = -200; i <= 200; i++) {
			const { lift, acceleration } = lobe.at((i / 200) * lobe.closes);
			if (acceleration >= 0 || lift <= 0) continue;
			const force = 500 + 60 * 1.5 * lift;
			const own = (60 / Math.PI) * Math.sqrt(force / (0.2 * ((-1.5 * acceleration) / 1000)));
			expect(own).toBeGreaterThanOrEqual(speed * (1 - 1e-9));
		}
	});
	it('is not told where the spring is not known, or no mass is to be held', () => {
		expect(rigidLimit(train({ height: mm(28) }))).toBeNull();
		const rising: Lobe = {
			...CONSTANT,
			at: () => ({ lift: 1, velocity: 0, acceleration: 5, jerk: 0 })
		};
		expect(rigidLimit(train({ lobe: rising }))).toBeNull();
	});
});

describe('surge', () => {
	it('is the lowest frequency of a chain of many masses between fixed ends', () => {
		// n masses m/n between n + 1 springs of k(n + 1): ω = 2√(k/m · n(n+1)) sin(π ÷ 2(n+1))
		const [rate, mass, n] = [60, 0.08, 4000];
		const each = mass / n;
		const stiff = rate * 1000 * (n + 1);
		const chain = (2 * Math.sqrt(stiff / each) * Math.sin(Math.PI / (2 * (n + 1)))) / (2 * Math.PI);
		const off = surgeFrequency(newtonsPerMm(rate), kilograms(mass)) / chain - 1;
		expect(Math.abs(off)).toBeLessThan(0.001);
	});
	it('has an order that falls as the engine turns faster', () => {
		expect(surgeOrder(450, 6000)).toBe(9);
		expect(surgeOrder(450, 7200)).toBe(7.5);
	});
});
