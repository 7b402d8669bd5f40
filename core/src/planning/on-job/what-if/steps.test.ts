/** Changes laid on each other: what each leaves, and what of it goes on the job. */
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readJob } from '../../../job/document/file.ts';
import { evaluate } from '../../../sheet/evaluation/index.ts';
import { liftRoom, tallied, type ChangeStep } from '../max-lift/index.ts';
import { lengthOf } from '../../../foundation/units/index.ts';
import { inSteps, isForJob, keptSteps, stepMessage, withStep } from './steps.ts';

const read = readJob(readFileSync('demo/jobs/2409-twin-cam.json', 'utf8'));
if (!read.ok) throw new Error('demo');
const job = read.value;
const sheet = evaluate(job);
const after = (...steps: ChangeStep[]) => inSteps(job, sheet, 'intake', steps);
const tally = (...steps: ChangeStep[]) => tallied(after(...steps).at(-1)!.sheet, 'intake');
const now = tally();

const HOME: ChangeStep = { type: 'seals-home', by: '0.5 mm' };
const LOCKS: ChangeStep = { type: 'locks', by: '0.050 in', keepsHeight: true };

describe('one change', () => {
	it('of seals driven home moves the seal clearance, and nothing else', () => {
		const home = tally(HOME);
		expect(home.seal! - now.seal!).toBeCloseTo(0.5, 6);
		expect({ ...home, seal: null }).toEqual({ ...now, seal: null, ...counts(home) });
	});
	it('of locks with their shim keeps height and loads, buries the tip, and gives seal clearance', () => {
		const locks = tally(LOCKS);
		expect(locks.height!.min).toBeCloseTo(now.height!.min, 6);
		expect(locks.seal! - now.seal!).toBeCloseTo(1.27, 6);
		if (now.tip !== null) expect(locks.tip! - now.tip).toBeCloseTo(-1.27, 6);
	});
	it('of locks alone makes the spring taller, and its loads fall', () => {
		const locks = tally({ ...LOCKS, keepsHeight: false });
		expect(locks.height!.min - now.height!.min).toBeCloseTo(1.27, 6);
		expect(locks.seat!.min).toBeLessThan(now.seat!.min);
		expect(locks.bind! - now.bind!).toBeCloseTo(1.27, 6);
	});
	it('of the lift moves margins by as much', () => {
		const lift = sheet.kinds.intake.lift!.gross + 0.5;
		const more = tally({ type: 'lift', by: `${lift} mm` });
		expect(now.bind! - more.bind!).toBeCloseTo(0.5, 4);
		expect(now.seal! - more.seal!).toBeCloseTo(0.5, 4);
	});
	it('of a cap may be taken off again, and shims may come out', () => {
		const capped = withStep(job, 'intake', { type: 'lash-cap', by: '0.080 in' });
		expect(capped.setup.kinds.intake.lashCap?.thickness).toBe('0.080 in');
		const off = withStep(capped, 'intake', { type: 'lash-cap', by: '0 mm' });
		expect(off.setup.kinds.intake.lashCap).toBeUndefined();
		const shimmed = withStep(job, 'intake', LOCKS);
		const out = withStep(shimmed, 'intake', { type: 'shims-out' });
		expect(
			out.stations.filter(({ kind }) => kind === 'intake').every((one) => one.shims.length === 0)
		).toBe(true);
		expect(out.stations.filter(({ kind }) => kind === 'exhaust')).toEqual(
			job.stations.filter(({ kind }) => kind === 'exhaust')
		);
	});
	it('of a retainer is a new one: nothing is ground off it, and no station keeps its own', () => {
		const own = structuredClone(job);
		own.setup.kinds.intake.reused = ['locks', 'seal'];
		const { retainer, locks } = job.setup.kinds.intake;
		own.stations.find(({ kind }) => kind === 'intake')!.parts = {
			retainer: { ...retainer!, groundOff: '0.5 mm' },
			locks: locks!
		};
		const part = { ...retainer!, name: 'Other', groundOff: undefined };
		const then = withStep(own, 'intake', {
			type: 'parts',
			parts: [{ place: 'retainer', part: part as never }],
			keepsHeight: false
		});
		expect(then.setup.kinds.intake.retainer).toMatchObject({ name: 'Other', groundOff: '0 mm' });
		expect(then.setup.kinds.intake.reused).toEqual(['locks', 'seal']);
		expect(then.stations.find(({ kind }) => kind === 'intake')!.parts).toEqual({ locks });
	});
});

describe('several changes', () => {
	it('add up, and each says what limits the lift after it', () => {
		const steps = after(HOME, LOCKS, { type: 'seal-lower', by: '0.5 mm' });
		expect(steps.map(({ step }) => step?.type)).toEqual([
			undefined,
			'seals-home',
			'locks',
			'seal-lower'
		]);
		const seal = steps.map(({ sheet: then }) => tallied(then, 'intake').seal! - now.seal!);
		expect(seal[1]).toBeCloseTo(0.5, 6);
		expect(seal[2]).toBeCloseTo(1.77, 6);
		expect(seal[3]).toBeCloseTo(2.27, 6);
		for (const { limits, gain } of steps)
			expect(gain).toBeCloseTo(limits[0]!.lift - steps[0]!.limits[0]!.lift, 9);
	});
	it('go on as the ladder goes on: its rungs are of the job with them', () => {
		const { job: then, sheet: at, limits } = after(HOME, LOCKS).at(-1)!;
		const room = liftRoom(then, at, 'intake');
		expect(room.limits).toEqual(limits);
		for (const { gain, next } of room.ladder)
			expect(next.lift - limits[0]!.lift).toBeCloseTo(gain, 9);
	});
	it('each rung of the ladder that names a thing to do comes to what it says, done', () => {
		const rungs = liftRoom(job, sheet, 'intake').ladder.filter(({ step }) => step !== null);
		expect(rungs.length).toBeGreaterThan(0);
		for (const { step, next } of rungs)
			expect(after(step!).at(-1)!.limits[0]!.lift).toBeCloseTo(next.lift, 6);
	});
	it('leave on the job what is parts, and no reading that nobody took', () => {
		const kept = keptSteps(job, 'intake', [HOME, LOCKS]);
		expect(kept.readings).toBe(job.readings);
		// Not the library's part any more, and not called so.
		expect(kept.setup.kinds.intake.locks).toMatchObject({
			name: `${job.setup.kinds.intake.locks!.name} +0.050 in`
		});
		expect(kept.setup.kinds.intake.locks!.id).toBeUndefined();
		expect(lengthOf(kept.setup.kinds.intake.locks!.offset)).toBeCloseTo(
			lengthOf(job.setup.kinds.intake.locks?.offset ?? '0 mm') + 1.27,
			6
		);
		expect(isForJob(HOME)).toBe(false);
		expect(stepMessage(LOCKS)).toMatchObject({ code: 'change.locks-and-shim' });
		expect(stepMessage(HOME)).toMatchObject({ code: 'change.seals-home', params: { by: 0.5 } });
	});
	it('tell before any height is measured what the height aimed for comes to', () => {
		const bare = { ...job, readings: [] };
		const [first, then] = inSteps(bare, evaluate(bare), 'intake', [{ type: 'lift', by: '11 mm' }]);
		expect(tallied(first!.sheet, 'intake')).toMatchObject({ atTarget: true, seal: null });
		expect(tallied(then!.sheet, 'intake').bind).not.toBe(tallied(first!.sheet, 'intake').bind);
	});
});

const counts = ({ stop, close, watch }: typeof now) => ({ stop, close, watch });
