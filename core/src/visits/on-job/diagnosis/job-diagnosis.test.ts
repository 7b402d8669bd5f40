/** A complaint of the straight six: what its figures and looks say is weighed, and nothing else. */
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readJob } from '../../../job/document/file.ts';
import {
	newestLooks,
	openTrial,
	type Job,
	type Look,
	type Since,
	type Trial
} from '../../../job/document/index.ts';
import { evaluate } from '../../../sheet/evaluation/index.ts';
import { visitComparison } from '../changes/index.ts';
import { diagnoseJob, figureEvidence } from './job-diagnosis.ts';

const read = readJob(readFileSync('demo/jobs/2418-light-retainers.json', 'utf8'));
if (!read.ok) throw new Error('demo');
const signed = read.value;
const [{ person }] = signed.readings as [Job['readings'][number]];
const made = { person, at: '2026-11-20T08:00:00.000Z' };
const id = (n: number) => `b5a1a3c0-0000-7000-8000-0000000001${String(n).padStart(2, '0')}`;
const since = (more: Partial<Since>): Since => ({ id: id(1), ...made, ...more });
const look = (n: number, check: Look['check'], seen: Look['seen'] = []): Look => ({
	id: id(n),
	check,
	seen,
	...made
});
const grown = (by: number): Job => ({
	...signed,
	readings: signed.readings.map((reading) =>
		reading.station === '3I' && reading.quantity === 'installed-height'
			? {
					...reading,
					read: `${(Number(reading.read.split(' ')[0]) + by).toFixed(3)} ${reading.read.split(' ')[1]}`
				}
			: reading
	)
});
const diagnosed = (job: Job) =>
	diagnoseJob(job, evaluate(job), { comparison: visitComparison(signed, job) });

describe('a complaint of a job', () => {
	it('is none where nobody told one', () => {
		expect(diagnosed(signed)).toBeNull();
		expect(diagnosed({ ...signed, since: [since({ hours: 40 })] })).toBeNull();
	});
	it('knows a lobe that lifts less by its figures, and says where', () => {
		const lifts = (read: string): Job => ({
			...signed,
			since: [since({ complaint: 'misfire' })],
			readings: [
				...signed.readings,
				...signed.stations.map(({ label }, i) => ({
					...signed.readings.find(({ quantity }) => quantity === 'installed-height')!,
					id: id(20 + i),
					station: label,
					quantity: 'valve-lift' as const,
					read: label === '4E' ? read : '0.520 in'
				}))
			]
		});
		const evidenceOf = (back: Job) =>
			figureEvidence(back, evaluate(back), {
				comparison: visitComparison(lifts('0.520 in'), back)
			})['lift-fell']!;
		expect(evidenceOf(lifts('0.500 in'))).toMatchObject({
			stations: ['4E'],
			by: { moved: 'lift' }
		});
		expect(evidenceOf(lifts('0.500 in')).surely).toBeGreaterThan(0.9);
		expect(evidenceOf(lifts('0.520 in')).surely).toBeLessThan(0.1);
	});
	it('counts heights as looked at once all were read, and as grown by how surely they are', () => {
		const complaint = since({ complaint: 'stops-pulling' });
		const [asWas, tall] = [0, 0.5].map((by) => {
			const job = { ...grown(by), since: [complaint] };
			return diagnosed(job)!;
		});
		expect(asWas!.done).toContain('heights');
		expect(asWas!.found['heights-grown']).toBeLessThan(0.05);
		expect(tall!.found['heights-grown']).toBeGreaterThan(0.95);
		expect(tall!.byFigures['heights-grown']).toMatchObject({
			stations: ['3I'],
			by: { station: '3I', moved: 'height' }
		});
		const weight = (one: NonNullable<typeof tall>) =>
			one.causes.findIndex(({ cause }) => cause === 'height-grew');
		expect(weight(tall!)).toBe(0);
		expect(weight(asWas!)).toBeGreaterThan(3);
	});
	it('weighs nothing that was not looked at', () => {
		const evidence = figureEvidence(signed, evaluate(signed), { comparison: [] });
		expect(evidence).not.toHaveProperty('heights-grown');
		expect(evidence).not.toHaveProperty('bench-low');
		expect(evidence).not.toHaveProperty('piston-short');
	});
	it('takes what was not seen at a look as not there, and the newest look of each', () => {
		const job = {
			...signed,
			since: [since({ complaint: 'stops-pulling', overSpeed: 2 })],
			looks: [
				look(2, 'look-under-cover', [{ evidence: 'hammered-tips', stations: ['1E'] }]),
				look(3, 'cam-seen', [{ evidence: 'lobe-scored' }]),
				look(4, 'cam-seen')
			]
		};
		expect(newestLooks(job).get('cam-seen')!.id).toBe(id(4));
		const { found, done } = diagnosed(job)!;
		expect(found).toMatchObject({
			'hammered-tips': 1,
			'blue-rocker': 0,
			'lobe-scored': 0,
			'over-speed-event': 1
		});
		expect(found).not.toHaveProperty('at-one-speed');
		expect(done).toEqual(expect.arrayContaining(['look-under-cover', 'cam-seen']));
	});
	it('knows what is being tried until its result is told', () => {
		const trial = (n: number, more: Partial<Trial> = {}): Trial => ({
			id: id(n),
			changed: 'other leads',
			tried: 'two runs to 7000',
			...made,
			...more
		});
		const open = [trial(5)];
		expect(openTrial({ ...signed, trials: open })?.id).toBe(id(5));
		const closed = [...open, trial(6, { of: id(5), result: 'gone' })];
		expect(openTrial({ ...signed, trials: closed })).toBeNull();
	});
});
