import { readFileSync } from 'node:fs';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Reading } from '@zinc-ledger/core';
import { outbox } from './outbox.svelte';
import { waitingNow } from './store';

const job = JSON.parse(readFileSync('demo/jobs/2417-straight-six.json', 'utf8')) as {
	id: string;
	readings: Reading[];
};
const reading = (i: number) => ({
	...job.readings[0]!,
	id: `0197a666-0000-7000-8000-00000000000${i}`
});
const sent: { path: string; id: string }[] = [];
let requests = 0;
let answer: () => Promise<Response>;
const ok = () => Promise.resolve(Response.json({ readings: [reading(1)] }));

beforeEach(() => {
	vi.useFakeTimers();
	sent.length = 0;
	requests = 0;
	outbox.waiting = [];
	outbox.reachable = true;
	answer = ok;
	vi.stubGlobal('fetch', (path: string, { body }: { body: string }) => {
		const readings = [JSON.parse(body) as Reading | Reading[]].flat();
		sent.push(...readings.map(({ id }) => ({ path, id })));
		requests++;
		return answer();
	});
});
afterEach(() => {
	vi.useRealTimers();
	vi.unstubAllGlobals();
});
const settle = () => vi.advanceTimersByTimeAsync(0);

describe('the outbox', () => {
	it('reads what waited since an earlier release', () => {
		const before = { ...reading(1), quantity: 'seal gap at lift' } as unknown as Reading;
		expect(waitingNow({ jobId: job.id, reading: before }).reading).toEqual({
			...reading(1),
			quantity: 'seal-gap-at-lift'
		});
	});
	it('sends a reading and lets it go', async () => {
		const stored: string[] = [];
		await outbox.open((jobId, readings) => stored.push(jobId, ...readings.map(({ id }) => id)));
		await outbox.add(job.id, reading(1));
		await settle();
		expect(sent).toEqual([{ path: `/api/jobs/${job.id}/readings`, id: reading(1).id }]);
		expect(stored).toEqual([job.id, reading(1).id]);
		expect(outbox.waiting).toEqual([]);
	});
	it('keeps it while the server is away, in order, and sends it when it is back', async () => {
		answer = () => Promise.reject(new TypeError('no network'));
		await outbox.add(job.id, reading(1));
		await outbox.add(job.id, reading(2));
		await settle();
		expect([outbox.reachable, outbox.waiting.length]).toEqual([false, 2]);
		answer = () => Promise.resolve(new Response('', { status: 503 }));
		await vi.advanceTimersByTimeAsync(2000);
		expect(outbox.waiting).toHaveLength(2);
		answer = ok;
		sent.length = 0;
		requests = 0;
		await vi.advanceTimersByTimeAsync(10_000);
		expect(sent.map(({ id }) => id)).toEqual([reading(1).id, reading(2).id]);
		expect(requests).toBe(1);
		expect([outbox.reachable, outbox.waiting.length]).toEqual([true, 0]);
	});
	it.each([401, 403, 408, 429, 500, 502, 503, 507])(
		'keeps it waiting where the answer is %i, which says nothing of the reading',
		async (status) => {
			answer = () => Promise.resolve(Response.json({ message: 'not now' }, { status }));
			await outbox.add(job.id, reading(1));
			await settle();
			expect(outbox.waiting).toEqual([{ jobId: job.id, reading: reading(1) }]);
			answer = ok;
			await vi.advanceTimersByTimeAsync(10_000);
			expect(outbox.waiting).toEqual([]);
		}
	);
	it('shows one that was refused, does not send it again, and goes on with the rest', async () => {
		answer = () =>
			Promise.resolve(Response.json({ message: 'There is no station 9I' }, { status: 404 }));
		await outbox.add(job.id, reading(1));
		await settle();
		expect(outbox.waiting[0]!.refused).toBe('There is no station 9I');
		answer = ok;
		await outbox.add(job.id, reading(2));
		await settle();
		expect(sent.map(({ id }) => id)).toEqual([reading(1).id, reading(2).id]);
		expect(outbox.waiting.map(({ reading: { id } }) => id)).toEqual([reading(1).id]);
		await outbox.dismiss(reading(1).id);
		expect(outbox.waiting).toEqual([]);
	});
	it('sends one by one what the server would not take together', async () => {
		answer = () => Promise.reject(new TypeError('no network'));
		await outbox.add(job.id, reading(1));
		await outbox.add(job.id, reading(2));
		await outbox.add(job.id, reading(3));
		await settle();
		sent.length = 0;
		answer = () => {
			// Only the first, alone, is taken.
			return sent.at(-1)!.id !== reading(1).id
				? Promise.resolve(Response.json({ message: 'no' }, { status: 404 }))
				: ok();
		};
		await vi.advanceTimersByTimeAsync(10_000);
		expect(sent.map(({ id }) => id)).toEqual([1, 2, 3, 1, 2, 3].map((i) => reading(i).id));
		expect(outbox.waiting.map(({ reading: { id }, refused }) => [id, refused])).toEqual(
			[reading(2).id, reading(3).id].map((id) => [id, 'no'])
		);
	});
	it('sends what somebody wrote once they are here, and under no other name', async () => {
		const [mine, theirs] = [reading(1), { ...reading(2), person: 'somebody else' }];
		outbox.sendAs({ person: null });
		await outbox.add(job.id, mine);
		await outbox.add(job.id, theirs);
		await settle();
		expect(sent).toEqual([]);
		outbox.sendAs({ person: mine.person });
		await settle();
		expect(sent.map(({ id }) => id)).toEqual([mine.id]);
		expect(outbox.waiting.map((one) => [one.reading.id, outbox.isOthers(one)])).toEqual([
			[theirs.id, true]
		]);
		outbox.sendAs({ person: 'somebody else' });
		await settle();
		expect(outbox.waiting).toEqual([]);
		outbox.sendAs({ anybody: true });
	});
	it('offers again what the server had before it was restored, apart from what is new', async () => {
		const headers: (string | null)[] = [];
		vi.stubGlobal('fetch', (_: string, init: RequestInit) => {
			headers.push(new Headers(init.headers).get('x-offered-again'));
			return Promise.resolve(Response.json({ readings: [] }));
		});
		void outbox.add(job.id, reading(1));
		await outbox.offer(
			[2, 3].map((i) => ({ jobId: job.id, reading: reading(i), again: true as const }))
		);
		await settle();
		expect(headers).toEqual([null, 'yes']);
		expect(outbox.waiting).toEqual([]);
	});
	it('says that it is asked who is here, until it is known', async () => {
		answer = () => Promise.resolve(Response.json({ message: 'Sign in first.' }, { status: 401 }));
		await outbox.add(job.id, reading(1));
		await settle();
		expect([outbox.asksWho, outbox.trouble]).toEqual([true, 'Sign in first.']);
		answer = ok;
		await vi.advanceTimersByTimeAsync(2000);
		expect(outbox.asksWho).toBe(false);
	});
});
