/** Trains of a job, the forces on them, and the sweep that says where a valve is lost. */
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readJob } from '../../../job/document/file.ts';
import { evaluate } from '../../../sheet/evaluation/index.ts';
import { kilograms } from '../../../foundation/units/index.ts';
import { RAMPS } from '../../lobe/index.ts';
import { COIL_DAMPING, coilDamping, STIFFNESS_SPREAD, USUAL_TRAIN } from '../../control/index.ts';
import { assumedTrain, motionState } from '../../../sheet/figures/index.ts';
import { forcesOver, minMargin } from './forces.ts';
import { compliantOf, controlledStations, limitWith } from './of-job.ts';
import { controlSweep, MAX_BOUNCE, motionFound, TELLS_TO } from './sweep.ts';

const demo = (name: string) => {
	const read = readJob(
		readFileSync(new URL(`../../../../../demo/jobs/${name}.json`, import.meta.url), 'utf8')
	);
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	return read.value;
};
const light = demo('2418-light-retainers');
const controlled = controlledStations(evaluate(light));
const [first] = controlled;

describe('the trains of a job', () => {
	it('are told where all is known that they need, each with its own limit', () => {
		expect(controlled.map(({ station }) => station)).toEqual(
			light.stations.map(({ label }) => label)
		);
		expect(new Set(controlled.map(({ limit }) => limit.speed)).size).toBeGreaterThan(4);
		const six = demo('2417-straight-six');
		expect(controlledStations(evaluate(six))).toEqual([]);
		const { retainer: _, ...without } = light.setup.kinds.intake;
		const setup = { ...light.setup, kinds: { ...light.setup.kinds, intake: without } };
		const some = { ...light, setup };
		expect(controlledStations(evaluate(some)).every(({ kind }) => kind === 'exhaust')).toBe(true);
	});
	it('are as stiff as their type is assumed to be, or as the job says', () => {
		expect(assumedTrain(light.setup)).toEqual({ type: 'pushrod', ...USUAL_TRAIN.pushrod });
		const setup = { ...light.setup, trainStiffness: '5200 N/mm', trainDamping: 0.05 };
		expect(assumedTrain(setup)).toMatchObject({ stiffness: 5200, damping: 0.05 });
		const { train: _, ...none } = light.setup;
		expect(assumedTrain(none)).toBeNull();
		const soft = compliantOf(first!, 0.7);
		expect(soft.stiffness).toBeCloseTo(2.8e6, 3);
	});
	it('give by the stiffness that was measured, known as well as its deflection', () => {
		const trainTest = { load: '100 lbf', deflection: '0.004 in', within: '0.0004 in' };
		// 444.8 N over 0.1016 mm, which is known to a tenth.
		const measured = assumedTrain({ ...light.setup, trainTest })!;
		expect(measured.stiffness).toBeCloseTo(4378, 0);
		expect(measured.spread).toBeCloseTo(0.1, 9);
		const loose = assumedTrain({
			...light.setup,
			trainTest: { ...trainTest, within: '0.004 in' }
		});
		expect(loose!.spread).toBe(STIFFNESS_SPREAD);
	});
	it('have coils that swing by their rate and mass, damped as they are built', () => {
		// 344 lbf/in, 104 g: half the root of 60.3 N/mm over the 88.4 g that move.
		expect(first!.surge!.frequency).toBeCloseTo(Math.sqrt(60_324 / 0.0884) / 2, 0);
		expect(first!.surge!.damping).toBe(COIL_DAMPING.rubbing);
		expect(
			[undefined, 'beehive', 'dual-with-damper'].map((build) => coilDamping(build as never))
		).toEqual([COIL_DAMPING.plain, COIL_DAMPING.plain, COIL_DAMPING.damper]);
	});
	it('gain by the root of the mass that is taken off', () => {
		const grams = 12;
		const { mass } = first!.train;
		const then = limitWith(first!, kilograms(-grams / 1000))!;
		const byRoot = first!.limit.speed * Math.sqrt(mass / (mass - grams / 1000));
		expect(then).toBeCloseTo(byRoot, 4);
		expect(limitWith(first!, kilograms(-1))).toBeNull();
	});
});

describe('the forces over a turn', () => {
	it('leave nothing at the rigid limit, and something below it', () => {
		const margin = (speed: number) => minMargin(forcesOver(first!.train, speed))!.margin;
		expect(Math.abs(margin(first!.limit.speed))).toBeLessThan(1);
		expect(margin(0.9 * first!.limit.speed)).toBeGreaterThan(50);
		expect(minMargin([])).toBeNull();
	});
});

describe('a sweep', () => {
	const progress: number[] = [];
	const sweep = controlSweep(first!, (done) => progress.push(done))!;
	it('parts below the rigid limit, and tells how far it is', () => {
		for (const separation of Object.values(sweep.separation)) {
			expect(separation! / first!.limit.speed).toBeGreaterThan(0.6);
			expect(separation! / first!.limit.speed).toBeLessThan(0.97);
		}
		expect(progress).toEqual(progress.toSorted((a, b) => a - b));
		expect(progress.at(-1)).toBe(1);
	});
	it('covers every ramp that the card may stand for, and the calm ones lose it later than the harsh', () => {
		const lobes = first!.train.lobe.mayBe!();
		expect(lobes.length).toBeGreaterThanOrEqual(RAMPS.length);
		expect(sweep.overLobes).toHaveLength(lobes.length);
		expect(Math.max(...sweep.overLobes)).toBeGreaterThan(1.05 * Math.min(...sweep.overLobes));
		expect(motionFound(sweep).lost!).toBeLessThanOrEqual(Math.min(...sweep.overLobes));
	});
	it('has a narrower band where the stiffness was measured', () => {
		// Coils that swing by themselves may part sooner on a stiffer valvetrain, so they are left out.
		const { mayBe: _, ...lobe } = first!.train.lobe;
		const stiff = { ...first!, surge: null, train: { ...first!.train, lobe } };
		const [wide, narrow] = [
			controlSweep(stiff)!,
			controlSweep({ ...stiff, assumed: { ...stiff.assumed, spread: 0.1 } })!
		];
		expect(narrow.band).toEqual({ low: 0.9, middle: 1, high: 1.1 });
		expect(narrow.separation.low!).toBeGreaterThan(wide.separation.low!);
		expect(motionFound(narrow).lost!).toBeGreaterThan(motionFound(wide).lost!);
	});
	it('parts sooner on a softer train, where no coils of its own swing', () => {
		const { low, middle, high } = controlSweep({ ...first!, surge: null })!.separation;
		expect([low, middle, high]).toEqual([low, middle, high].toSorted((a, b) => a! - b!));
	});
	it('shows no figure beyond what the model tells', () => {
		sweep.speeds.forEach((speed, i) => {
			const beyond = speed > TELLS_TO * sweep.separation.middle!;
			expect(sweep.motions.middle[i] === null).toBe(beyond);
		});
	});
	it('clears only a speed below the first parting or bounce within its band', () => {
		const { lost, surely } = motionFound(sweep) as { lost: number; surely: number };
		expect(lost).toBeLessThanOrEqual(
			Math.min(...Object.values(sweep.separation).map((one) => one!))
		);
		const before = sweep.motions.low.filter((motion, i) => motion && sweep.speeds[i]! < lost);
		expect(before.every((motion) => motion!.bounce <= MAX_BOUNCE)).toBe(true);
		const of = (highest: number, wanted: number) =>
			motionState({ lost, surely, to: sweep.speeds.at(-1)! }, highest, wanted);
		expect(surely).toBeGreaterThan(lost * 1.05);
		expect(of(lost * 0.8, lost * 0.95)).toBe('clear');
		expect(of(lost * 0.9, lost * 1.05)).toBe('watch');
		// Soft trains lose it, stiff ones do not: nobody measured which one this is.
		expect(of(lost * 1.01, lost * 1.2)).toBe('inconclusive');
		expect(of(surely * 1.01, surely * 1.2)).toBe('stop');
		const calm = {
			...sweep,
			separation: { low: null, middle: null, high: null },
			motions: { low: [], middle: [], high: [] },
			overLobes: []
		};
		expect(motionFound(calm)).toMatchObject({ lost: null, surely: null });
		expect(motionState(motionFound(calm), 3000, sweep.speeds.at(-1)! + 1)).toBe('not-measured');
		expect(motionState(motionFound(calm), 3000, 3450)).toBe('clear');
	});
});
