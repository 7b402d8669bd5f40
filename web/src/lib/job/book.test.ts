import { readFileSync } from 'node:fs';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { message, type Job, type Setup } from '@zinc-ledger/core';
import { readJob } from '@zinc-ledger/core/file';
import { tell } from '@zinc-ledger/words';
import { outbox } from '$lib/outbox/outbox.svelte';
import { Book } from './book.svelte';

let job: Job;
let book: Book;
let calls: { method: string; path: string; body: unknown }[];
let answer: () => Promise<Response>;
beforeEach(() => {
	calls = [];
	answer = () => Promise.resolve(Response.json({}));
	outbox.waiting = [];
	vi.stubGlobal('fetch', (path: string, { method, body }: { method: string; body: string }) => {
		calls.push({ method, path, body: JSON.parse(body) });
		return answer();
	});
	const read = readJob(readFileSync('demo/jobs/2417-straight-six.json', 'utf8'));
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	job = read.value;
	book = new Book(job, 4);
});
afterEach(() => vi.unstubAllGlobals());
const person = () => job.people[0]!;
const refused = (message: string, status = 409) =>
	Promise.resolve(Response.json({ message }, { status }));

describe('the book of a job', () => {
	it('changes the set-up by its revision, and counts it on', async () => {
		const setup = { ...job.setup, use: { duty: 'sprint' } } as Setup;
		expect(await book.changeSetup(setup)).toBeNull();
		expect(book.job.setup.use.duty).toBe('sprint');
		await book.changeSetup(setup);
		expect(calls.map(({ body }) => (body as { revision: number }).revision)).toEqual([4, 5]);
	});
	it('changes nothing when the server would not, and says why', async () => {
		answer = () => refused('Somebody else changed this job meanwhile');
		expect(await book.changeSetup({ ...job.setup, use: { duty: 'sprint' } })).toContain('Somebody');
		expect(book.job.setup.use.duty).toBe('hill climb');
		answer = () => Promise.reject(new TypeError('no network'));
		expect(await book.fit('1I', ['0.015 in'])).toBe(tell(message('server.not-reached')));
		expect(book.station('1I')!.stack.shims).toEqual([]);
	});
	it('fits shims, and the sheet follows', async () => {
		const before = book.station('4E')!.figures.height.figure!;
		expect(await book.fit('4E', ['0.030 in', '0.015 in'])).toBeNull();
		expect(before - book.station('4E')!.figures.height.figure!).toBeCloseTo(0.045 * 25.4, 9);
	});
	it('gives a station parts of its own, and takes them off', async () => {
		const before = book.station('1I')!.figures.height.figure;
		await book.setParts('1I', { locks: { name: 'Plus', offset: '0.050 in' } });
		expect(book.station('1I')!.figures.height.figure).not.toBe(before);
		await book.setParts('1I', null);
		expect(book.station('1I')!.figures.height.figure).toBe(before);
		expect(calls.map(({ method }) => method)).toEqual(['PATCH', 'PATCH']);
	});
	it('takes the same job again for no change, and another for one', () => {
		const before = book.job;
		book.load(structuredClone(job), 5);
		expect(book.job).toBe(before);
		book.load({ ...structuredClone(job), number: '2418' }, 6);
		expect(book.job.number).toBe('2418');
	});
	it('strikes a reading, which then no longer counts', async () => {
		const reading = book.station('1I')!.inForce['installed-height']!;
		expect(await book.voidReading(reading, 'slipped', person())).toBeNull();
		expect(book.station('1I')!.inForce['installed-height']).toBeUndefined();
	});
	it('adds to its lists in somebody’s name, and knows them from then on', async () => {
		const entry = {
			id: crypto.randomUUID(),
			work: 'guides',
			at: '2026-11-30T00:00:00.000Z'
		} as const;
		expect(await book.append('headWork', null, entry)).toBe(
			tell(message('server.operator-required'))
		);
		expect(calls).toEqual([]);
		const newcomer = { id: crypto.randomUUID(), name: 'Somebody New', initials: 'SN' };
		expect(await book.append('headWork', newcomer, entry)).toBeNull();
		expect(book.initials(newcomer.id)).toBe('SN');
		expect(book.sheet.measured['installed-height']).toBe(0);
	});
	it('lays on top what still waits to be sent, and takes over what is confirmed', () => {
		const reading = { ...job.readings[0]!, id: crypto.randomUUID(), station: '6E' };
		outbox.waiting = [{ jobId: job.id, reading }];
		expect(book.station('6E')!.inForce['installed-height']!.id).toBe(reading.id);
		for (let i = 0; i < 2; i++) book.confirm([reading]);
		outbox.waiting = [];
		expect(book.job.readings.filter(({ id }) => id === reading.id)).toHaveLength(1);
		outbox.waiting = [{ jobId: job.id, reading: { ...reading, id: 'x' }, refused: 'no' }];
		expect(book.job.readings.some(({ id }) => id === 'x')).toBe(false);
	});
});
