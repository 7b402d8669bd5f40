/** The control limit and the net seat load on a job's sheet. */
import { readFileSync } from 'node:fs';
import { beforeEach, describe, expect, it } from 'vitest';
import { netSeatForce, rigidLimit } from '../../valvetrain/control/index.ts';
import type { Job } from '../../job/document/index.ts';
import { controlRead } from '../figures/index.ts';
import type { Message } from '../../foundation/message/index.ts';
import { followingMass } from '../mass/index.ts';
import { lengthOf, pressureOf } from '../../foundation/units/index.ts';
import { evaluate } from './evaluate.ts';

let job: Job;
beforeEach(() => {
	job = JSON.parse(
		readFileSync(new URL('../../../../demo/jobs/2417-straight-six.json', import.meta.url), 'utf8')
	) as Job;
	job.setup.train = 'pushrod';
	for (const kind of ['intake', 'exhaust'] as const) {
		Object.assign(job.setup.cam![kind], {
			durationAt: '0.020 in',
			second: { duration: 228, at: '0.050 in' }
		});
		job.setup.kinds[kind].pushrodMass = '58 g';
	}
});
const station = (label = '1I') => evaluate(job).stations.find((one) => one.label === label)!;
const control = () => station().figures.controlLimit;
const to = (speed: number) => (job.setup.use.engineSpeed = speed);
const intake = () => job.setup.kinds.intake;

describe('the control limit', () => {
	it('is no figure of a job whose cam says nothing of its lobe', () => {
		const { durationAt: _, ...shapeless } = job.setup.cam!.intake;
		job.setup.cam!.intake = shapeless;
		expect(control()).toBeNull();
		delete job.setup.cam;
		expect(control()).toBeNull();
	});
	it('is the rigid limit of this spring at this height with all that follows the cam', () => {
		const { lobe, ratio, mass } = controlRead(job.setup, 'intake', intake())!;
		const { shared, figures } = station();
		const limit = rigidLimit({
			lobe: lobe!,
			ratio: ratio!,
			lash: lengthOf(intake().lash!.setting),
			curve: shared.curve!,
			height: figures.height.figure!,
			mass: mass!.total
		})!;
		expect(control()!.figure).toBe(limit.speed);
		expect(mass!.total).toBeCloseTo(followingMass(intake(), 'pushrod', 1.5).total, 12);
	});
	it('stops above it, is too close to call about it, watches without headroom, and never clears', () => {
		const { figure, uncertainty } = control()!;
		const states = [1.2, 1, 0.92, 0.5].map((part) => {
			to(Math.round(figure! * part));
			return control()!;
		});
		expect(states.map(({ state }) => state)).toEqual([
			'stop',
			'inconclusive',
			'watch',
			'not-measured'
		]);
		expect(states.map(({ remedy }) => remedy!.code)).toEqual([
			'control.below-speed',
			'control.too-close',
			'control.little-headroom',
			'control.not-known'
		]);
		expect(uncertainty / figure!).toBeGreaterThan(0.03);
		expect(uncertainty / figure!).toBeLessThan(0.06);
	});
	it('names every mass that is missing, and takes none of them as nothing', () => {
		delete intake().pushrodMass;
		delete intake().retainer!.mass;
		delete intake().spring!.outer;
		delete job.setup.train;
		expect(control()!.needs.map(({ code }) => code)).toEqual(['need.train']);
		job.setup.train = 'pushrod';
		expect(control()).toMatchObject({ state: 'not-measured', figure: null });
		expect(control()!.needs).toEqual([
			{ code: 'need.retainer.mass' },
			{ code: 'need.pushrod-mass' }
		]);
	});
	it('estimates a valve from its size and material, and is told less firmly for it', () => {
		const { uncertainty } = control()!;
		const weighed = controlRead(job.setup, 'intake', intake())!.mass!;
		delete intake().valve!.mass;
		const estimated = controlRead(job.setup, 'intake', intake())!.mass!;
		expect(estimated.parts.find(({ part }) => part === 'valve')!.isEstimated).toBe(true);
		expect(Math.abs(estimated.total / weighed.total - 1)).toBeLessThan(0.1);
		expect(control()!.uncertainty).toBeGreaterThan(uncertainty);
		delete intake().valve!.head;
		expect(control()!.needs).toEqual([{ code: 'need.valve.mass' }]);
	});
	it('counts what lies on the cam’s side by the ratio squared, and nothing of it for a bucket', () => {
		const parts = intake();
		const [full, none] = (['pushrod', 'rocker-on-head'] as const).map(
			(train) => followingMass(parts, train, 1.5).total
		);
		expect(full! - none!).toBeCloseTo((0.096 + 0.058) / 2.25, 9);
		const { rocker: _, ...bucket } = parts;
		expect(followingMass(bucket, 'bucket', 1).parts.map(({ part }) => part)).toContain('lifter');
		expect(followingMass(bucket, 'finger', 1.5).missing).toEqual(['rocker']);
	});
	it('reads a lift table, and names what keeps it from being one', () => {
		const { table: _, ...cam } = job.setup.cam!.intake;
		job.setup.cam!.intake = { ...cam, table: [{ degree: 0, lift: '9 mm' }] };
		expect(control()!.remedy).toEqual({ code: 'lobe.fault', params: { fault: 'too-few-lines' } });
		job.setup.cam!.intake = { ...cam, second: { duration: 100, at: '8 mm' } };
		expect(control()!.remedy).toMatchObject({ params: { fault: 'no-such-lobe' } });
	});
});

describe('the net seat load', () => {
	const net = () => station().figures.netSeatLoad;
	it('is no figure where no pressure is given, and asks for the head it pushes on', () => {
		expect(net()).toBeNull();
		intake().portPressure = '15 psi';
		delete intake().valve!.head;
		expect(net()!.needs).toEqual([{ code: 'need.valve.head' }]);
	});
	it('is what the port’s pressure leaves of the seat load', () => {
		intake().portPressure = '15 psi';
		const { seatLoad } = station().figures;
		expect(net()!.figure).toBe(
			netSeatForce(seatLoad.figure!, lengthOf('2.020 in'), pressureOf('15 psi'))
		);
		expect(net()).toMatchObject({ state: 'clear' });
	});
	it('watches what leaves little, stops what lifts the valve, and says the seat load that would do', () => {
		intake().portPressure = '30 psi';
		expect(net()).toMatchObject({ state: 'watch', remedy: { code: 'net-seat-load.low' } });
		intake().portPressure = '3.5 bar';
		const pushed = net()!;
		expect(pushed).toMatchObject({ state: 'stop', remedy: { code: 'net-seat-load.pushed-open' } });
		const remedy = pushed.remedy as Message<'net-seat-load.pushed-open'>;
		expect(
			netSeatForce(remedy.params.wanted, lengthOf('2.020 in'), pressureOf('3.5 bar'))
		).toBeCloseTo(200, 6);
	});
});
