import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { evaluate } from '../../sheet/evaluation/index.ts';
import { readJob } from './file.ts';
import { Job } from './schema.ts';
import { stationsThen, visitJob } from './visit-job.ts';

function demo(name: string): Job {
	const read = readJob(readFileSync(`demo/jobs/${name}.json`, 'utf8'));
	if (!read.ok) throw new Error(name);
	return read.value;
}
const again = '0190a000-0000-7000-8000-000000000001';
const back = (signed: Job, heads = signed.heads) =>
	visitJob(signed, {
		id: again,
		number: '9999',
		takenIn: '2026-11-20T08:00:00.000Z',
		visitOf: {
			job: signed.id,
			number: signed.number,
			sheet: again,
			revision: 1,
			at: signed.takenIn
		},
		customer: signed.customer,
		engine: signed.engine,
		heads
	})!;

describe('a head that came back', () => {
	const signed = demo('2421-marine-v8');
	it('has the parts and shims that were signed, and nothing read', () => {
		const job = back(signed);
		expect(Job.safeParse(job).error).toBeUndefined();
		expect(job.stations.map(({ shims }) => shims)).toEqual(
			signed.stations.map(({ shims }) => shims)
		);
		expect(job.setup.kinds.intake.spring?.name).toBe(signed.setup.kinds.intake.spring?.name);
		expect(job.readings).toEqual([]);
		expect(job.plans).toEqual([]);
		expect(job.setup.kinds.intake.reused).toContain('spring');
		expect(job.setup).not.toHaveProperty('order');
	});
	it('may be one head of two', () => {
		const one = back(signed, [signed.heads[1]!]);
		expect(new Set(one.stations.map(({ head }) => head))).toEqual(new Set([signed.heads[1]!.id]));
		expect(Job.safeParse(one).error).toBeUndefined();
	});
	it('may lie elsewhere on another engine: each valve is the same one in order', () => {
		const [left, right] = signed.heads.map(({ id }) => id) as [string, string];
		const moved = {
			id: again,
			number: '9999',
			takenIn: '2026-11-20T08:00:00.000Z',
			customer: signed.customer,
			engine: signed.engine,
			heads: [{ id: right, name: right }],
			visitOf: { ...back(signed).visitOf!, places: { [right]: left } }
		};
		const job = visitJob(signed, moved)!;
		const [was] = signed.stations.filter(({ head }) => head === left);
		expect(job.stations[0]!.label).not.toBe(was!.label);
		expect(job.stations[0]!.shims).toEqual(was!.shims);
		expect(stationsThen(signed, job)!.get(job.stations[0]!.label)).toBe(was);
		const layout = { ...signed.engine.layout, cylinders: 6 };
		expect(visitJob(signed, { ...moved, engine: { ...signed.engine, layout } })).toBeNull();
	});
	it('clears nothing by what its springs were before they ran', () => {
		const placed = demo('2426-placed-springs');
		const { readings, people } = placed;
		const loads = (job: Job) =>
			evaluate({ ...job, readings, people }).stations.map(({ figures }) => figures.seatLoad);
		const [then, now] = [loads(placed), loads(back(placed))];
		expect(then.some(({ state }) => state === 'clear')).toBe(true);
		then.forEach(({ figure }, i) => expect(now[i]!.figure).toBe(figure));
		expect(now.filter(({ state }) => state === 'clear')).toEqual([]);
		expect(now.some(({ sources }) => sources.includes('earlier-visit'))).toBe(true);
	});
});
