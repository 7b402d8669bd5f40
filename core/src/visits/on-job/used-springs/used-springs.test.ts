/** Springs of the straight six that came back: one sagged, two seats sank. */
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readJob } from '../../../job/document/file.ts';
import type { Job } from '../../../job/document/index.ts';
import { evaluate } from '../../../sheet/evaluation/index.ts';
import { visitComparison } from '../changes/index.ts';
import { fatesOf } from './used-springs.ts';

const demo = (name: string): Job => {
	const read = readJob(readFileSync(`demo/jobs/${name}.json`, 'utf8'));
	if (!read.ok) throw new Error(name);
	return read.value;
};
/** The reference spring reads the same on both testers. */
const withReference = (job: Job): Job => ({
	...job,
	looks: [
		...job.looks,
		{
			id: 'b5a1a3c0-0000-7000-8000-000000000301',
			check: 'gauge-reference',
			seen: [],
			reference: { then: '600 N', now: '600 N' },
			person: job.people[0]!.id,
			at: '2026-11-20T08:00:00.000Z'
		}
	]
});
const signed = demo('2403-circuit-six');
const unchecked = demo('2423-circuit-six-back');
const back = withReference(unchecked);
const by = (usedSprings: 'never' | 'retested'): Job => ({
	...back,
	setup: { ...back.setup, policies: { ...back.setup.policies, usedSprings } }
});
const retested = by('retested');
const NO_LIFE = new Map<string, number>();
const fates = (job: Job, life = NO_LIFE) =>
	new Map(
		fatesOf(job, evaluate(job), visitComparison(signed, job), life).map((one) => [one.station, one])
	);

describe('springs that have run', () => {
	it('all go where the shop never uses one again', () => {
		for (const { fate, reason } of fates(by('never')).values())
			expect([fate, reason]).toEqual(['replace', 'policy']);
	});
	it('are not decided on before a reference spring was read on both testers', () => {
		const job = { ...retested, looks: unchecked.looks };
		for (const { fate, reason } of fates(job).values())
			expect([fate, reason]).toEqual(['not-known', 'tester-unchecked']);
	});
	it('go where one is cracked, however good it tests', () => {
		const crack = { evidence: 'spring-cracked' as const, stations: ['1I'] };
		const look = { ...retested.looks.at(-1)!, check: 'springs-seen' as const, seen: [crack] };
		const all = fates({ ...retested, looks: [...retested.looks, look] });
		expect(all.get('1I')).toMatchObject({ fate: 'replace', reason: 'damaged' });
	});
	it('stay, are shimmed up where the height grew, and go where they sagged', () => {
		const all = fates(retested);
		expect(all.get('4E')).toMatchObject({ fate: 'replace', reason: 'sagged' });
		expect(all.get('4E')!.sag!.value).toBeCloseTo(0.127, 2);
		expect(all.get('1I')).toMatchObject({ fate: 'reuse', reason: 'in-order', shims: null });
		const sunk = all.get('3I')!;
		expect(sunk).toMatchObject({ fate: 'reshim', reason: 'shim-brings-back' });
		const before = evaluate(retested).stations.find(({ label }) => label === '3I')!.figures;
		const added = sunk.shims!.reduce((sum, one) => sum + one, 0);
		expect(added).toBeGreaterThan(0);
		expect(sunk.bindMargin!.value).toBeCloseTo(before.bindMargin.figure! - added, 6);
		// A shim lies under the spring: the retainer stays where it was.
		expect(sunk.sealClearance!.value).toBe(before.sealClearance.figure!);
	});
	it('that bind at their own valve change places where another has the room', () => {
		// A lobe that lifts its valve so much further that its spring binds.
		const high = { type: 'lobe', lobe: '0.450 in', ratio: 1.5, source: 'card' } as const;
		const overrides = [{ cylinder: 1, kind: 'intake' as const, lift: high }];
		const one: Job = { ...retested, setup: { ...retested.setup, overrides } };
		expect(fates(one).get('1I')).toMatchObject({ fate: 'swap', reason: 'even-elsewhere' });
		// Where every valve opens so far, nowhere is room.
		const all = structuredClone(one);
		for (const kind of ['intake', 'exhaust'] as const) all.setup.kinds[kind].lift = high;
		expect(fates(all).get('1I')).toMatchObject({ fate: 'replace', reason: 'bind-short' });
	});
	it.each([1.852, 1.785])('wait at a height of %d in with no shim in stock', (height) => {
		const job = structuredClone(retested);
		job.setup.shimStock = [];
		for (const station of job.stations) station.shims = [];
		for (const reading of job.readings)
			if (reading.quantity === 'installed-height' && reading.station === '1I')
				reading.read = `${height.toFixed(3)} in`;
		const sheet = evaluate(job).stations.find(({ label }) => label === '1I')!;
		expect(['stop', 'inconclusive']).toContain(sheet.figures.height.state);
		expect(fates(job).get('1I')!.fate).not.toMatch(/^re(use|shim)$/);
	});
	it('go once their life is over, however good they test', () => {
		const all = fates(
			retested,
			new Map([
				['1I', 1.02],
				['1E', 0.83]
			])
		);
		expect(all.get('1I')).toMatchObject({ fate: 'replace', reason: 'service-over' });
		expect(all.get('1E')!.serviceLeft).toBeCloseTo(0.17, 12);
		expect(all.get('1E')!.fate).toBe('reuse');
	});
	it('are not known where nobody tested them again', () => {
		const untested = { ...retested, setup: { ...retested.setup, springs: signed.setup.springs } };
		expect(fates(untested).get('1I')).toMatchObject({ fate: 'not-known', sag: null });
	});
});
