import { readFileSync } from 'node:fs';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { message, type Job, type Setup } from '@zinc-ledger/core';
import { readJob } from '@zinc-ledger/core/file';
import { tell } from '@zinc-ledger/words';
import { outbox } from '$lib/outbox/outbox.svelte';
import { JobStore } from './job-store.svelte';

let job: Job;
let store: JobStore;
let calls: { method: string; path: string; body: unknown }[];
let answer: (method: string) => Promise<Response>;
beforeEach(() => {
	calls = [];
	answer = kept;
	outbox.waiting = [];
	vi.stubGlobal('fetch', (path: string, { method = 'GET', body = '' } = {}) => {
		calls.push({ method, path, body: body && JSON.parse(body) });
		return answer(method);
	});
	const read = readJob(readFileSync('demo/jobs/2417-straight-six.json', 'utf8'));
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	job = read.value;
	store = new JobStore(job, 4);
});
afterEach(() => vi.unstubAllGlobals());
/** The server keeps what it is sent, and has no newer job to give. */
const kept = (method: string) =>
	Promise.resolve(method === 'GET' ? new Response(null, { status: 404 }) : Response.json({}));
/** An answer that comes when it is let. */
function awaited() {
	let come: (response: Response) => void = () => {};
	const promise = new Promise<Response>((resolve) => (come = resolve));
	return { promise, come };
}
const person = () => job.people[0]!;
const refused = (message: string, status = 409) =>
	Promise.resolve(Response.json({ message }, { status }));

describe('the book of a job', () => {
	it('changes the set-up by its revision, and counts it on', async () => {
		const setup = { ...job.setup, use: { duty: 'sprint' } } as Setup;
		expect(await store.changeSetup(setup)).toBeNull();
		expect(store.job.setup.use.duty).toBe('sprint');
		await store.changeSetup(setup);
		expect(calls.map(({ body }) => (body as { revision: number }).revision)).toEqual([4, 5]);
	});
	it('takes on another build as a whole: the set-up, and the stations that differ', async () => {
		const setup = { ...job.setup, use: { duty: 'sprint' } } as Setup;
		const stations = job.stations.with(0, { ...job.stations[0]!, shims: ['0.030 in'] });
		expect(await store.rebuild({ ...job, setup, stations })).toBeNull();
		const [{ body }] = calls as [(typeof calls)[number]];
		expect(body).toMatchObject({ revision: 4, setup: { use: { duty: 'sprint' } } });
		expect((body as { builds: object[] }).builds).toEqual([
			{ label: job.stations[0]!.label, shims: ['0.030 in'] }
		]);
		answer = () => refused('changed meanwhile');
		expect(await store.rebuild(job)).toBe('changed meanwhile');
	});
	it('marks a step at several stations at once, each in the name of who did it', async () => {
		const step = (place: string) => ({
			id: place,
			place,
			step: 'locator',
			done: true,
			at: '2026-11-20T09:00:00.000Z'
		});
		answer = () => Promise.resolve(Response.json({ kept: true, at: '2026-11-20T09:00:01.000Z' }));
		expect(await store.mark(person(), [step('1I'), step('2I')])).toBeNull();
		expect(calls).toHaveLength(1);
		expect(store.job.assembly.slice(-2)).toEqual(
			['1I', '2I'].map((place) => ({
				...step(place),
				person: person().id,
				at: '2026-11-20T09:00:01.000Z'
			}))
		);
		answer = () => refused('do first');
		expect(await store.mark(person(), [step('3I')])).toBe('do first');
		expect(store.job.assembly.at(-1)!.place).toBe('2I');
		expect(await store.mark(null, [step('3I')])).toMatch(/\w/);
	});
	it('takes no answer that is older than what was changed while it was on its way', async () => {
		const old = Response.json({ job, revision: 4, signed: [], shims: [] });
		const fresh = (setup: Setup) =>
			Response.json({ job: { ...job, setup }, revision: 5, signed: [], shims: [] });
		const late = awaited();
		answer = () => late.promise;
		const refreshed = store.refresh();
		const setup = { ...job.setup, use: { duty: 'sprint' } } as Setup;
		answer = kept;
		await store.changeSetup(setup);
		answer = () => Promise.resolve(fresh(setup));
		late.come(old);
		await refreshed;
		expect(store.job.setup.use.duty).toBe('sprint');
		expect(calls.map(({ method }) => method)).toEqual(['GET', 'PUT', 'GET']);
		store.load(structuredClone(job), 4);
		await vi.waitFor(() => expect(calls).toHaveLength(4));
		expect(store.job.setup.use.duty).toBe('sprint');
		await store.changeSetup(setup);
		expect(calls.at(-1)!.body).toMatchObject({ revision: 5 });
	});
	it('takes no answer to a question that a later one was answered before', async () => {
		const sheets = (signed: unknown[]) => Response.json({ job, revision: 4, signed, shims: [] });
		const late = awaited();
		answer = () => late.promise;
		const first = store.refresh();
		answer = () => Promise.resolve(sheets([{ revision: 1 }]));
		await store.refresh();
		late.come(sheets([]));
		await first;
		expect(store.signed).toEqual([{ revision: 1 }]);
	});
	it('counts the revision once when the job came anew before the answer', async () => {
		const setup = { ...job.setup, use: { duty: 'sprint' } } as Setup;
		const put = awaited();
		answer = () => put.promise;
		const changed = store.changeSetup(setup);
		store.load({ ...structuredClone(job), setup }, 5);
		put.come(Response.json({}));
		await changed;
		answer = kept;
		await store.changeSetup(setup);
		expect(calls.at(-1)!.body).toMatchObject({ revision: 5 });
	});
	it('changes nothing when the server would not, and says why', async () => {
		answer = () => refused('Somebody else changed this job meanwhile');
		expect(await store.changeSetup({ ...job.setup, use: { duty: 'sprint' } })).toContain(
			'Somebody'
		);
		expect(store.job.setup.use.duty).toBe('hill climb');
		answer = () => Promise.reject(new TypeError('no network'));
		expect(await store.fit('1I', ['0.015 in'])).toBe(tell(message('server.not-reached')));
		expect(store.station('1I')!.stack.shims).toEqual([]);
	});
	it('fits shims, and the sheet follows', async () => {
		const before = store.station('4E')!.figures.height.figure!;
		expect(await store.fit('4E', ['0.030 in', '0.015 in'])).toBeNull();
		expect(before - store.station('4E')!.figures.height.figure!).toBeCloseTo(0.045 * 25.4, 9);
	});
	it('gives a station parts of its own, and takes them off', async () => {
		const before = store.station('1I')!.figures.height.figure;
		await store.setParts('1I', { locks: { name: 'Plus', offset: '0.050 in' } });
		expect(store.station('1I')!.figures.height.figure).not.toBe(before);
		await store.setParts('1I', null);
		expect(store.station('1I')!.figures.height.figure).toBe(before);
		// After each it asks what the shelf has left.
		expect(calls.map(({ method }) => method)).toEqual(['PATCH', 'GET', 'PATCH', 'GET']);
	});
	it('takes the same job again for no change, and another for one', () => {
		const before = store.job;
		store.load(structuredClone(job), 5);
		expect(store.job).toBe(before);
		store.load({ ...structuredClone(job), number: '2418' }, 6);
		expect(store.job.number).toBe('2418');
	});
	it('strikes a reading, which then no longer counts', async () => {
		const reading = store.station('1I')!.inForce['installed-height']!;
		expect(await store.voidReading(reading, 'slipped', person())).toBeNull();
		expect(store.station('1I')!.inForce['installed-height']).toBeUndefined();
	});
	it('adds to its lists in somebody’s name, and knows them from then on', async () => {
		const entry = {
			id: crypto.randomUUID(),
			work: 'guides',
			at: '2026-11-30T00:00:00.000Z'
		} as const;
		expect(await store.append('headWork', null, entry)).toBe(
			tell(message('server.operator-required'))
		);
		expect(calls).toEqual([]);
		const newcomer = { id: crypto.randomUUID(), name: 'Somebody New', initials: 'SN' };
		expect(await store.append('headWork', newcomer, entry)).toBeNull();
		expect(store.initials(newcomer.id)).toBe('SN');
		expect(store.sheet.measured['installed-height']).toBe(0);
	});
	it('lays on top what still waits to be sent, and takes over what is confirmed', () => {
		const reading = { ...job.readings[0]!, id: crypto.randomUUID(), station: '6E' };
		outbox.waiting = [{ jobId: job.id, reading }];
		expect(store.station('6E')!.inForce['installed-height']!.id).toBe(reading.id);
		for (let i = 0; i < 2; i++) store.confirm([reading]);
		outbox.waiting = [];
		expect(store.job.readings.filter(({ id }) => id === reading.id)).toHaveLength(1);
		outbox.waiting = [{ jobId: job.id, reading: { ...reading, id: 'x' }, refused: 'no' }];
		expect(store.job.readings.some(({ id }) => id === 'x')).toBe(false);
	});
});
