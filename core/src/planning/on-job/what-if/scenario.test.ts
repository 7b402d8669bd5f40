import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { KINDS } from '../../../foundation/station/index.ts';
import { TARGET_METHODS } from '../../../sheet/target-height/index.ts';
import { evaluate } from '../../../sheet/evaluation/index.ts';
import { tallied } from '../max-lift/index.ts';
import { readJob } from '../../../job/document/file.ts';
import { aimAs, withLift, withScenario } from './scenario.ts';

const read = readJob(readFileSync('demo/jobs/2409-twin-cam.json', 'utf8'));
if (!read.ok) throw new Error('no demo job');
const job = read.value;
const sheet = evaluate(job);

describe('what if', () => {
	it('every method gets a figure of its own, and the present one stays', () => {
		const parts = job.setup.kinds.intake;
		for (const method of TARGET_METHODS) {
			expect(aimAs(method, sheet.kinds.intake, parts).method).toBe(method);
		}
		expect(aimAs(parts.aim.method, sheet.kinds.intake, parts)).toBe(parts.aim);
		expect(aimAs('seat-load', sheet.kinds.intake, parts)).toMatchObject({
			load: expect.stringMatching(/^\d+(\.\d+)? N$/)
		});
	});
	it('changes what is asked, kind by kind, and leaves the rest as it is', () => {
		const none = { intake: {}, exhaust: {} };
		expect(withScenario(job.setup, sheet, { kinds: none, limits: {} })).toEqual(job.setup);
		const spring = { ...job.setup.kinds.intake.spring!, name: 'Another' };
		const parts = [{ place: 'spring' as const, part: spring }];
		const asked = { ...none, intake: { parts, lift: '10 mm', method: 'seat-load' as const } };
		const then = withScenario(job.setup, sheet, { kinds: asked, limits: { bindFloor: '1.2 mm' } });
		expect(then.kinds.exhaust).toEqual(job.setup.kinds.exhaust);
		expect(then.kinds.intake).toMatchObject({ spring, aim: { method: 'seat-load' } });
		expect(then.limits).toEqual({ ...job.setup.limits, bindFloor: '1.2 mm' });
	});
	it('more lift takes from both margins and adds to the open load', () => {
		const { gross } = sheet.kinds.intake.lift!;
		const kinds = {
			...job.setup.kinds,
			intake: withLift(job.setup.kinds.intake, `${(gross + 1).toFixed(3)} mm`)
		};
		const then = tallied(evaluate({ ...job, setup: { ...job.setup, kinds } }), 'intake');
		const now = tallied(sheet, 'intake');
		expect(now.bind! - then.bind!).toBeCloseTo(1, 3);
		expect(now.seal! - then.seal!).toBeCloseTo(1, 3);
		expect(then.open!.max).toBeGreaterThan(now.open!.max);
	});
	it('counts the stations of a kind by what they come to', () => {
		for (const kind of KINDS) {
			const { stop, close, watch } = tallied(sheet, kind);
			const clear = sheet.stations.filter(
				(station) => station.kind === kind && ['clear', 'not-measured'].includes(station.state)
			).length;
			expect(stop + close + watch + clear).toBe(8);
		}
	});
});
