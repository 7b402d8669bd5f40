/** What is measured on valves, seats and chambers: limits of the shop, the middle of its kind, work done since. */
import { readFileSync } from 'node:fs';
import { beforeEach, describe, expect, it } from 'vitest';
import {
	INSPECTED,
	INSPECTED_FIGURE,
	inPlaceFor,
	type Inspected,
	type Job,
	type Reading
} from '../../job/document/index.ts';
import { Job as JobSchema } from '../../job/document/schema.ts';
import { evaluate } from './evaluate.ts';

let job: Job;
beforeEach(() => {
	job = JSON.parse(
		readFileSync(new URL('../../../../demo/jobs/2417-straight-six.json', import.meta.url), 'utf8')
	) as Job;
});
function read(station: string, quantity: Inspected, figure: string, more: Partial<Reading> = {}) {
	job.readings.push({
		...job.readings[0]!,
		id: crypto.randomUUID(),
		station,
		quantity,
		read: figure,
		gauge: {
			name: 'Micrometer',
			resolution: figure.endsWith('cc') ? '0.1 cc' : '0.001 mm',
			correction: '0 mm'
		},
		at: '2026-11-20T08:00:00.000Z',
		...more
	});
}
const at = (label: string, quantity: Inspected) =>
	evaluate(job).stations.find((one) => one.label === label)!.figures[INSPECTED_FIGURE[quantity]];
const INTAKES = ['1I', '2I', '3I', '4I', '5I', '6I'];

describe('a figure of an inspection', () => {
	it('is none of the job where nobody measured it, and changes nothing else', () => {
		for (const quantity of INSPECTED) expect(at('1I', quantity)).toBeNull();
		const before = evaluate(job).stations.map(({ state }) => state);
		read('1I', 'valve-length', '118.00 mm');
		expect(evaluate(job).stations.map(({ state }) => state)).toEqual(before);
	});
	it.each([
		['stem-clearance', '0.040 mm', 'clear'],
		['stem-clearance', '0.140 mm', 'stop'],
		['seat-run-out', '0.040 mm', 'clear'],
		['seat-run-out', '0.060 mm', 'stop'],
		['valve-margin', '1.200 mm', 'clear'],
		['valve-margin', '0.600 mm', 'stop']
	] as const)('%s of %s is %s by the careful usual', (quantity, figure, state) => {
		read('1I', quantity, figure);
		expect(at('1I', quantity)).toMatchObject({ state, sources: ['measured'] });
	});
	it('is too close to call by a gauge that cannot tell', () => {
		read('1I', 'stem-clearance', '0.10 mm', {
			gauge: { name: 'Dial', resolution: '0.01 mm', correction: '0 mm' }
		});
		const verdict = at('1I', 'stem-clearance')!;
		expect(verdict.state).toBe('inconclusive');
		expect(verdict.remedy).toEqual({
			code: 'inspected.inconclusive',
			params: { quantity: 'stem-clearance' }
		});
	});
	it('is held against the limits of the job, each kind by its own', () => {
		job.setup.limits.inspected = { exhaust: { stemClearance: { max: '0.05 mm' } } };
		read('1I', 'stem-clearance', '0.900 mm');
		read('1E', 'stem-clearance', '0.090 mm');
		expect(at('1I', 'stem-clearance')!.state).toBe('clear');
		const { state, remedy, difference } = at('1E', 'stem-clearance')!;
		expect([state, difference]).toEqual(['stop', expect.closeTo(-0.04, 9)]);
		expect(remedy).toMatchObject({ params: { way: 'over', by: expect.closeTo(0.04, 9) } });
	});
	it('that stands apart from the middle of its kind is to be looked at', () => {
		for (const label of INTAKES)
			read(label, 'stem-height', label === '5I' ? '47.60 mm' : '47.00 mm');
		read('1E', 'stem-height', '49.00 mm');
		expect(at('2I', 'stem-height')!.state).toBe('clear');
		expect(at('5I', 'stem-height')).toMatchObject({
			state: 'watch',
			remedy: { code: 'inspected.apart', params: { way: 'over', by: expect.closeTo(0.6, 9) } }
		});
		// Two of a kind cannot say which is odd.
		expect(at('1E', 'stem-height')).toMatchObject({ state: 'clear', limits: [] });
	});
	it('is a volume for a chamber, and even over the cylinders of both kinds', () => {
		['1I', '2I', '3E', '4I'].forEach((label, i) =>
			read(label, 'chamber-volume', i === 2 ? '63.4 cc' : '62.2 cc')
		);
		expect(at('3E', 'chamber-volume')).toMatchObject({ state: 'watch', figure: 63.4 });
		expect(at('1I', 'chamber-volume')!.state).toBe('clear');
	});
	it('is read again after work that changes it', () => {
		read('1I', 'seat-width', '1.30 mm');
		read('1I', 'stem-diameter', '7.980 mm');
		const person = job.people[0]!.id;
		job.headWork.push({
			id: crypto.randomUUID(),
			work: 'seats',
			person,
			at: '2026-11-21T08:00:00Z'
		});
		expect(at('1I', 'seat-width')).toBeNull();
		expect(at('1I', 'stem-diameter')).not.toBeNull();
		const codes = evaluate(job).stations[0]!.remarks.map(({ text }) => text.code);
		expect(codes).toContain('reading.stale');
	});
});

describe('the document', () => {
	it('takes each quantity in its own unit only', () => {
		read('1I', 'chamber-volume', '62.2 mm');
		expect(JobSchema.safeParse(job).success).toBe(false);
		job.readings.at(-1)!.read = '62.2 cc';
		expect(JobSchema.parse(job).readings.at(-1)!.read).toBe('62.2 cc');
		job.readings.at(-1)!.quantity = 'valve-length';
		expect(JobSchema.safeParse(job).success).toBe(false);
	});
	it('has nothing in place while a valve is out', () => {
		const round = { locator: true, shims: true, recess: '1 mm', sealHome: true };
		const place = inPlaceFor(job, job.stations[0]!, 'stem-diameter', round);
		expect(place).toMatchObject({ locator: '0 mm', shims: [], lockOffset: '0 mm' });
	});
});
