import { describe, expect, it } from 'vitest';
import { mm, newtons, type Kilopascals } from '../../foundation/units/index.ts';
import {
	liftOffPressure,
	netSeatForce,
	openingForce,
	pressureAtOpening,
	volumeAt,
	type Cylinder
} from './pressure.ts';

const cylinder: Cylinder = { bore: mm(100), stroke: mm(80), rod: mm(150), ratio: 10 };

it('lifts a valve off its seat where the net seat force is nothing', () => {
	const pressure = liftOffPressure(newtons(400), mm(40));
	expect(netSeatForce(newtons(400), mm(40), pressure)).toBeCloseTo(0, 9);
	expect(pressure).toBeCloseTo(318.3, 1);
});

describe('pressure on a valve', () => {
	it('takes its area of the seat load', () => {
		expect(netSeatForce(newtons(400), mm(40), 200 as Kilopascals)).toBeCloseTo(148.67, 2);
		expect(netSeatForce(newtons(200), mm(40), 200 as Kilopascals)).toBeLessThan(0);
	});
	it('a cylinder holds its clearance at the top and ten times that at the bottom', () => {
		const swept = (Math.PI / 4) * 100 ** 2 * 80;
		expect(volumeAt(cylinder, 0)).toBeCloseTo(swept / 9, 6);
		expect(volumeAt(cylinder, 180)).toBeCloseTo((swept * 10) / 9, 6);
		expect(volumeAt(cylinder, 90)).toBeGreaterThan(
			(volumeAt(cylinder, 0) + volumeAt(cylinder, 180)) / 2
		);
	});
	it('falls as the gas expands, and is more the earlier the valve opens', () => {
		const at = (opens: number) => pressureAtOpening(cylinder, 7000, opens);
		expect(at(15)).toBeCloseTo(7000, 9);
		expect(at(120)).toBeCloseTo(
			7000 * (volumeAt(cylinder, 15) / volumeAt(cylinder, 120)) ** 1.3,
			9
		);
		expect(at(112)).toBeGreaterThan(at(116));
		expect(at(116)).toBeGreaterThan(at(120));
	});
	it('is carried by valve, pushrod and pivot', () => {
		const { valve, pushrod, pivot } = openingForce(600, 100, mm(35), 1.6);
		expect(valve).toBeCloseTo(0.5 * (Math.PI / 4) * 35 ** 2, 9);
		expect(pushrod).toBeCloseTo(valve * 1.6, 9);
		expect(pivot).toBeCloseTo(valve + pushrod, 9);
		expect(openingForce(100, 100, mm(35), 1.6).valve).toBe(0);
	});
});
