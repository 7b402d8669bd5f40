/** What a customer reads: the twin cam signed, run for a season and measured again. */
import { describe, expect, it } from 'vitest';
import { METRIC, visitJob, type Job, type Reading } from '@zinc-ledger/core';
import {
	signSheet,
	verifySheet,
	type FrozenVisit,
	type SignedSheet
} from '@zinc-ledger/core/signed';
import { newShopKey, sha256, sheetCrypto, shopKey } from '@zinc-ledger/core/signed-node';
import { write } from '@zinc-ledger/words';
import { demoJob } from '$lib/test/demo';
import { reportOf } from './report';

const then = demoJob('2409-twin-cam');
const ID = '0197a999-0000-7000-8000-000000000001';
const key = shopKey(newShopKey());
const visit = visitJob(then, {
	id: ID,
	number: '2500',
	takenIn: '2026-11-20T08:00:00.000Z',
	visitOf: {
		job: then.id,
		number: then.number,
		sheet: ID,
		revision: 2,
		at: '2026-03-20T10:00:00Z'
	},
	customer: then.customer,
	engine: then.engine,
	heads: then.heads
})!;
const entry = { id: ID, person: then.people[0]!.id, at: '2026-11-20T08:00:00.000Z' };

/** The same readings again, with a valve's heights and gap so many mm taller. */
function back(by: number, more: Partial<Job> = {}): Job {
	const taller = (reading: Reading) =>
		reading.station === '2Ia' && ['installed-height', 'seal-gap'].includes(reading.quantity)
			? `${(Number.parseFloat(reading.read) + by).toFixed(2)} mm`
			: reading.read;
	const readings = then.readings.map((one) => ({ ...one, read: taller(one) }));
	return { ...visit, readings, people: then.people, ...more };
}
function frozen(job: Job): { text: string; visit: FrozenVisit } {
	const signing = { id: ID, revision: 1, person: then.people[0]!, at: '2026-11-22T10:00:00.000Z' };
	const text = signSheet(job, signing, METRIC, { sha256, write, key }, then);
	return { text, visit: (JSON.parse(text) as SignedSheet).visit as unknown as FrozenVisit };
}
const report = (job: Job) => reportOf(frozen(job).visit, job);

describe('the report of a return visit', () => {
	it('says that all stands where nothing moved', () => {
		const { found, rows, done } = report(back(0));
		expect(rows).toEqual([]);
		expect(found[0]).toMatch(/^All 16 valves compared stand as they were signed/);
		expect(done).toEqual(['Nothing was changed at this visit.']);
	});
	it('tells what moved, then and now, and what that looks like', () => {
		const { found, rows, columns } = report(back(0.4));
		expect(found[0]).toMatch(/^1 of 16 valves moved/);
		expect(columns[0]).toEqual({ title: 'Height', unit: 'mm' });
		expect(rows).toHaveLength(1);
		expect(rows[0]!.station).toBe('2Ia');
		expect(rows[0]!.cells[0]!.text).toMatch(/^\+0\.40 \(\d\d\.\d\d to \d\d\.\d\d\)$/);
		expect(rows[0]!.looksLike).toMatch(
			/seat or valve face sank 0\.\d\d mm.*; measure .* to tell them apart$/
		);
	});
	it('says what happened since, what was done, and that it lies elsewhere only as it was weighed', () => {
		const job = back(0, {
			since: [
				{ ...entry, hours: 41, highestSpeed: 7800, complaint: 'misfire', noticed: 'cuts out' }
			],
			headWork: [{ ...entry, work: 'seats', stations: ['2Ia'], note: 'sunk seat cut and set' }],
			trials: [{ ...entry, changed: 'other leads', tried: 'ten minutes idling', result: 'gone' }],
			stations: visit.stations.map((one, i) => (i === 0 ? { ...one, shims: ['0.75 mm'] } : one))
		});
		const { since, done, found } = report(job);
		expect(since.join(' ')).toContain('41 h, up to 7800 rpm');
		expect(since.join(' ')).toContain('Complaint: misfire, “cuts out”');
		expect(found.at(-1)).toBe('Cause not found yet.');
		const [first] = visit.stations;
		expect(done).toEqual([
			'Seats at 2Ia: sunk seat cut and set.',
			`${first!.label}: shims ${first!.shims.join(' + ') || 'none'} to 0.75 mm.`,
			'Tried: other leads, ten minutes idling: gone.'
		]);
	});
	it('says of loads on another tester first what all have in common', () => {
		const [before, now] = ['2403-circuit-six', '2423-circuit-six-back'].map(demoJob) as [Job, Job];
		const read = (job: Job) => {
			const signing = {
				id: ID,
				revision: 1,
				person: job.people[0]!,
				at: '2026-10-21T10:00:00.000Z'
			};
			const text = signSheet(job, signing, METRIC, { sha256, write, key }, before);
			return reportOf((JSON.parse(text) as SignedSheet).visit as unknown as FrozenVisit, job);
		};
		expect(read(now).found.slice(0, 2)).toEqual([
			'All 12 valves moved further than they were read to.',
			expect.stringMatching(
				/^All springs read −3\.5 % .*\. Read a reference spring on both testers/
			)
		]);
		const looked = (then: string, read_: string) => {
			const look = { ...entry, check: 'gauge-reference' as const, seen: [] };
			return read({ ...now, looks: [...now.looks, { ...look, reference: { then, now: read_ } }] });
		};
		const tester = looked('600 N', '580 N');
		expect(tester.found[1]).toMatch(/read −3\.3 % on it, which is subtracted; nothing more/);
		expect(tester.rows.map(({ station }) => station)).toEqual(['2E', '3I', '4E', '5E']);
		expect(looked('600 N', '600 N').found[1]).toMatch(/the springs lost the rest\.$/);
	});
	it('is frozen with the sheet, whose digest it is in', () => {
		const { text } = frozen(back(0.4));
		const checked = verifySheet(text, sheetCrypto);
		expect(checked.ok && checked.same).toBe(true);
		expect(verifySheet(text.replace('"by":0.4', '"by":0.1'), sheetCrypto).ok).toBe(false);
		expect(text).toContain('"visit":');
	});
});
