import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { lashAsFound, lashNotFound } from './as-found-lash.ts';
import { readJob } from './file.ts';
import type { Job, Note, Reading } from './schema.ts';

const read = readJob(readFileSync('demo/jobs/2418-light-retainers.json', 'utf8'));
if (!read.ok) throw new Error('demo');
const at = (minute: number) => `2026-11-20T08:0${minute}:00.000Z`;
const id = (n: number) => `b5a1a3c0-0000-7000-8000-00000000000${n}`;
const visit: Job = {
	...read.value,
	readings: read.value.readings.filter(({ quantity }) => quantity !== 'lash'),
	visitOf: { job: id(9), number: '2400', sheet: id(9), revision: 1, at: at(0) }
};
const [any] = visit.readings as [Reading];
const lash = (as: 'found' | 'set', minute: number, station = '1I'): Reading => ({
	...any,
	id: id(minute),
	station,
	quantity: 'lash',
	read: '0.020 in',
	lash: { as, marked: false },
	at: at(minute)
});
const note = (station?: string): Note => ({
	id: id(8),
	...(station && { station }),
	text: 'came off the engine',
	about: 'lash-not-found',
	private: false,
	blocksSignOff: false,
	person: any.person,
	at: at(1)
});
const withLash = (...readings: Reading[]): Job => ({
	...visit,
	readings: [...visit.readings, ...readings]
});

describe('lash as a head came back with it', () => {
	it('is asked of every valve of a visit, and of no other job', () => {
		expect(lashNotFound(visit).open).toHaveLength(visit.stations.length);
		expect(lashNotFound({ ...visit, visitOf: undefined })).toEqual({ open: [], lost: [] });
		const hydraulic = { ...visit, setup: { ...visit.setup, lifters: 'hydraulic' as const } };
		expect(lashNotFound(hydraulic).open).toEqual([]);
	});
	it('is lost once it was set before it was read, whatever is read after', () => {
		const job = withLash(lash('set', 1), lash('found', 2));
		expect(lashNotFound(job).lost).toEqual(['1I']);
		expect(lashAsFound(job, '1I')).toBeNull();
		const kept = withLash(lash('found', 1), lash('set', 2));
		expect(lashNotFound(kept).lost).toEqual([]);
		expect(lashAsFound(kept, '1I')?.id).toBe(id(1));
	});
	it('goes by when it was read, and not by when it arrived; one struck through is none', () => {
		const job = withLash(lash('set', 3), lash('found', 2));
		expect(lashAsFound(job, '1I')?.id).toBe(id(2));
		const voids = [{ id: id(7), reading: id(2), reason: 'slipped', person: any.person, at: at(4) }];
		expect(lashNotFound({ ...job, voids }).lost).toEqual(['1I']);
	});
	it('is not asked where somebody said why, for one valve or for all', () => {
		const job = withLash(lash('set', 1));
		expect(lashNotFound({ ...job, notes: [note('1I')] }).lost).toEqual([]);
		expect(lashNotFound({ ...job, notes: [note('2I')] }).lost).toEqual(['1I']);
		expect(lashNotFound({ ...job, notes: [note()] })).toEqual({ open: [], lost: [] });
	});
});
