/** What a motion kept with the job says on the sheet, and until when. */
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readJob } from '../../../job/document/file.ts';
import type { Job } from '../../../job/document/index.ts';
import { evaluate } from '../../../sheet/evaluation/index.ts';
import { lobeOf, motionState } from '../../../sheet/figures/index.ts';
import { camDegrees, durationAt, harmonicsOf } from '../../lobe/index.ts';
import { camEvents } from '../lash/index.ts';
import { message } from '../../../foundation/message/index.ts';
import { lengthOf } from '../../../foundation/units/index.ts';
import { controlTally, weakest } from './choice.ts';
import { courseAt } from './course.ts';
import { liftAtTop } from './lift-at-top.ts';
import { limitMap } from './limit-map.ts';
import { controlledStations } from './of-job.ts';
import { fedOrders } from './surge-map.ts';
import { TELLS_TO } from './sweep.ts';

const read = readJob(readFileSync('demo/jobs/2418-light-retainers.json', 'utf8'));
if (!read.ok) throw new Error('demo');
const light = read.value;
const controlled = controlledStations(evaluate(light));
const [first] = controlled;

/** The job, its highest speed such, with a motion of 1I kept. */
function kept(
	speed: number,
	motion: { lost: number | null; surely: number | null; to: number }
): Job {
	const person = light.people[0]!.id;
	return {
		...light,
		setup: { ...light.setup, use: { ...light.setup.use, engineSpeed: speed } },
		motions: [
			{
				id: 'b5a1a3c0-0000-7000-8000-000000000001',
				stations: [{ label: '1I', ...motion, basis: [...first!.basis] }],
				person,
				at: light.takenIn
			}
		]
	};
}
const at = (job: Job, label = '1I') =>
	evaluate(job).stations.find((one) => one.label === label)!.figures.controlLimit!;

describe('a motion kept with its job', () => {
	const found = { lost: 5500, surely: 6300, to: 7400 };
	it('alone clears a limit, of its own station', () => {
		const job = kept(4500, found);
		expect(at(job)).toMatchObject({ state: 'clear', remedy: null });
		expect(at(job, '2I')).toMatchObject({ state: 'not-measured' });
	});
	it('stops what is lost on any train, and is too close to call on some', () => {
		expect(at(kept(6700, found))).toMatchObject({
			state: 'stop',
			remedy: message('control.motion-lost', { lost: 6300, speed: 6700 })
		});
		// Within what lobe and spring leave open it is no stop yet.
		expect(at(kept(6400, found)).state).toBe('inconclusive');
		expect(at(kept(5900, found))).toMatchObject({
			state: 'inconclusive',
			remedy: message('control.motion-depends', { lost: 5500, surely: 6300, speed: 5900 })
		});
		expect(at(kept(5000, found))).toMatchObject({
			state: 'watch',
			remedy: { code: 'control.motion-lost', params: { lost: 5500 } }
		});
		expect(at(kept(5000, { lost: null, surely: null, to: 5500 }))).toMatchObject({
			state: 'not-measured',
			remedy: { code: 'control.motion-too-short', params: { to: 5500 } }
		});
	});
	it('counts only while it is from what stands there', () => {
		const job = kept(4500, found);
		for (const change of [
			{ retainer: { ...job.setup.kinds.intake.retainer!, mass: '20 g' } },
			{ pushrodMass: '59 g' }
		]) {
			const intake = { ...job.setup.kinds.intake, ...change };
			const setup = { ...job.setup, kinds: { ...job.setup.kinds, intake } };
			expect(at({ ...job, setup })).toMatchObject({
				state: 'not-measured',
				remedy: { code: 'control.motion-outdated' }
			});
		}
		const stiffer = { ...job, setup: { ...job.setup, trainStiffness: '4100 N/mm' } };
		expect(at(stiffer).remedy!.code).toBe('control.motion-outdated');
	});
	it('says nothing of speeds that it did not look at', () => {
		expect(motionState({ lost: null, surely: null, to: 7000 }, 6000, 6900)).toBe('clear');
		expect(motionState({ lost: null, surely: null, to: 6800 }, 6000, 6900)).toBe('not-measured');
	});
});

describe('the course of a valve over a turn', () => {
	const slow = courseAt(first!, 2500)!;
	it('follows its cam at low speed, pushed by it, and rests on its seat', () => {
		const open = slow.points.filter(({ cam }) => cam > 2);
		// The train gives by a few hundredths under the load.
		expect(Math.max(...open.map(({ cam, valve }) => Math.abs(cam - valve)))).toBeLessThan(0.6);
		expect(open.every(({ force }) => force > 0)).toBe(true);
		const shut = slow.points.at(-1)!;
		expect(shut.valve).toBeCloseTo(0, 1);
		expect(shut.seat).toBeGreaterThan(400);
		expect(slow.motion.parted).toBe(0);
	});
	it('tells nothing beyond what the model does', () => {
		expect(courseAt(first!, 6000 * TELLS_TO + 1, { separation: 6000 })).toBeNull();
		expect(courseAt(first!, 6000 * TELLS_TO - 1, { separation: 6000 })).not.toBeNull();
	});
});

describe('what lies about a choice', () => {
	it('a lobe is the sum of its harmonics', () => {
		const { lobe } = first!.train;
		const energy = (list: readonly number[]) => list.reduce((sum, one) => sum + one ** 2, 0) / 2;
		const points = Array.from({ length: 1440 }, (_, i) => lobe.at(camDegrees(i / 4 - 180)));
		const whole = points.reduce((sum, { acceleration }) => sum + acceleration ** 2, 0) / 1440;
		const mean = points.reduce((sum, { acceleration }) => sum + acceleration, 0) / 1440;
		expect(energy(harmonicsOf(lobe, 120)) / (whole - mean ** 2)).toBeGreaterThan(0.98);
		expect(energy(harmonicsOf(lobe, 120)) / (whole - mean ** 2)).toBeLessThan(1.001);
	});
	it('orders meet the coils at the speed that their number says', () => {
		const orders = fedOrders(first!);
		for (const { order, speed } of orders)
			expect((order * speed) / 120).toBeCloseTo(first!.surge!.frequency, 6);
		expect(Math.max(...orders.map(({ strength }) => strength))).toBe(1);
		expect(fedOrders({ ...first!, surge: null })).toEqual([]);
	});
	it('a shorter spring and less lift hold longer', () => {
		const { limits, heights, lifts } = limitMap(first!);
		const middle = limits[(lifts.length - 1) / 2]!;
		expect(middle[(heights.length - 1) / 2]).toBeCloseTo(first!.limit.speed, 6);
		expect(middle[0]!).toBeGreaterThan(middle.at(-1)!);
		expect(limits[0]![6]!).toBeGreaterThan(limits.at(-1)![6]!);
	});
	it('the valve that is lost first stands for its kind', () => {
		const tally = controlTally(evaluate(light), 'intake', 6000)!;
		expect(tally.station).toBe(
			weakest(controlled.filter(({ kind }) => kind === 'intake'))!.station
		);
		expect(tally.nose! / first!.train.ratio).toBeGreaterThan(1200);
		expect(tally.seating).toBeGreaterThan(0.5);
		expect(tally.energy).toBeGreaterThan(10);
		expect(controlTally(evaluate(light), 'intake', null)!.seating).toBeNull();
		expect(weakest([])).toBeNull();
	});
});

describe('when the cam lifts', () => {
	it('is told about top dead centre from its card', () => {
		const { lobe } = lobeOf(light.setup, 'intake')!;
		// 24° before top, 60° after bottom: the nose at 108° after top dead centre.
		const lash = lengthOf(light.setup.kinds.intake.lash!.setting);
		const expected = 1.5 * lobe!.at(camDegrees(54)).lift - lash;
		expect(liftAtTop(light.setup, 'intake')).toBeCloseTo(Math.max(0, expected), 9);
		expect(liftAtTop(light.setup, 'intake', 10)!).toBeGreaterThan(
			liftAtTop(light.setup, 'intake')!
		);
		const { opens: _, ...card } = light.setup.cam!.intake;
		const setup = { ...light.setup, cam: { ...light.setup.cam!, intake: card } };
		expect(liftAtTop(setup, 'intake')).toBeNull();
	});
	it('begins sooner than its card says, as its lift table has it', () => {
		const { lobe } = lobeOf(light.setup, 'intake')!;
		const table = Array.from({ length: 197 }, (_, i) => ({
			degree: i - 98,
			lift: `${lobe!.at(camDegrees(i - 98)).lift.toFixed(3)} mm`
		}));
		const cam = { ...light.setup.cam!, intake: { ...light.setup.cam!.intake, table } };
		const events = camEvents({ ...light, setup: { ...light.setup, cam } }).events;
		const sooner = (durationAt(lobe!, 0.02) - 264) / 2;
		expect(sooner).toBeGreaterThan(5);
		expect(Math.abs(events.intakeOpens - 24 - sooner)).toBeLessThan(3);
		expect(Math.abs(events.intakeCloses - 60 - sooner)).toBeLessThan(3);
		expect(events.exhaustOpens).toBe(64);
	});
});
