/** Loads read on the head, also where no height was measured. */
import { readFileSync } from 'node:fs';
import { beforeEach, describe, expect, it } from 'vitest';
import { poundsForce } from '../../foundation/units/index.ts';
import type { Job, Reading } from '../../job/document/index.ts';
import { evaluate } from './evaluate.ts';

let job: Job;
beforeEach(() => {
	job = JSON.parse(
		readFileSync(new URL('../../../../demo/jobs/2417-straight-six.json', import.meta.url), 'utf8')
	) as Job;
});
const INTAKES = ['1I', '2I', '3I', '4I', '5I', '6I'];
function pull(station: string, pounds: number, gauge: Partial<Reading['gauge']> = {}) {
	job.readings.push({
		...job.readings[0]!,
		id: crypto.randomUUID(),
		station,
		quantity: 'on-head-load',
		read: `${pounds} lbf`,
		gauge: { name: 'Lever tester', resolution: '1 lbf', correction: '0 lbf', ...gauge },
		at: '2026-11-20T08:00:00.000Z'
	});
}
const at = (label: string) =>
	evaluate(job).stations.find((one) => one.label === label)!.figures.headLoad!;
const without = (quantity: Reading['quantity']) =>
	(job.readings = job.readings.filter((reading) => reading.quantity !== quantity));

describe('a load on the head', () => {
	it('is held against the curve at its height', () => {
		pull('1I', 131);
		expect(at('1I')).toMatchObject({ state: 'clear', limit: { code: 'seat-load-at-height' } });
		pull('2I', 100);
		expect(at('2I')).toMatchObject({ state: 'watch', remedy: { code: 'head-load.under' } });
	});
	it('is held against the load aimed for while no height is measured', () => {
		without('installed-height');
		pull('1I', 110);
		const { state, limit, remedy } = at('1I');
		expect([state, limit!.code, remedy!.code]).toEqual([
			'watch',
			'seat-load-target',
			'head-load.off-target'
		]);
	});
	it('is the odd one out beside its kind, with neither height nor spring: 118 beside 150s', () => {
		without('installed-height');
		for (const kind of ['intake', 'exhaust'] as const) delete job.setup.kinds[kind].spring;
		for (const label of INTAKES) pull(label, label === '4I' ? 118 : 150);
		expect(at('1I').state).toBe('clear');
		expect(at('4I')).toMatchObject({
			state: 'watch',
			figure: poundsForce(118),
			remedy: { code: 'head-load.apart', params: { way: 'under' } }
		});
		expect(evaluate(job).stations.find(({ label }) => label === '4I')!.state).toBe('watch');
	});
	it('alone, with nothing to judge it by, is shown and not clear', () => {
		without('installed-height');
		delete job.setup.kinds.intake.spring;
		pull('1I', 118);
		expect(at('1I')).toMatchObject({ state: 'not-measured', figure: poundsForce(118) });
	});
	it('has the correction of its tester in it', () => {
		pull('1I', 120, { gain: 1.05, correction: '4 lbf' });
		expect(at('1I').figure).toBeCloseTo(poundsForce(130), 6);
	});
});
