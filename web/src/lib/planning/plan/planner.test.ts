/** The planner of a page, over a worker that answers as it is told to. */
import { render } from 'svelte/server';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { PlanAnswer } from '@zinc-ledger/core';
import { WorkerClient } from '$lib/worker/worker-client';
import { demoJob } from '$lib/test/demo';
import Within from '$lib/test/Within.svelte';
import { Planner } from './planner.svelte';

const answer = (proven: boolean): PlanAnswer => ({
	type: 'plan',
	stations: [],
	proven,
	worst: 0,
	bound: 0,
	gap: 0,
	next: [],
	leftOut: []
});
const question = {
	job: demoJob('2417-straight-six'),
	shims: [],
	placeSprings: false,
	fixed: [],
	lockStock: []
};

let progress: (soFar: PlanAnswer) => void;
beforeEach(() => {
	vi.stubGlobal('Worker', class extends EventTarget {});
	vi.spyOn(WorkerClient.prototype, 'end').mockReturnValue();
});
afterEach(() => {
	vi.restoreAllMocks();
	vi.unstubAllGlobals();
});
/** What the worker answers to each question. */
const answers = (give: () => Promise<PlanAnswer>) =>
	vi.spyOn(WorkerClient.prototype, 'ask').mockImplementation(((
		ask: (remote: unknown) => Promise<unknown>
	) => {
		void ask({
			plan: (_: unknown, __: unknown, report: typeof progress) => {
				progress = report;
				return Promise.resolve();
			}
		});
		return give();
	}) as never);

/** A planner ends with its page, so only a page may make one. */
function made(): Planner {
	let planner: Planner;
	void render(Within, { props: { act: () => (planner = new Planner()) } }).body;
	return planner!;
}

describe('a plan that is asked for', () => {
	it('keeps its answer when progress comes in after it', async () => {
		answers(() => Promise.resolve(answer(true)));
		const planner = made();
		const asked = planner.ask(question);
		const late = progress;
		await asked;
		late(answer(false));
		expect(planner.answer).toMatchObject({ proven: true });
		expect(planner.working).toBe(false);
	});
	it('says so when the worker dies over it, and waits no longer', async () => {
		answers(() => Promise.reject(new Error('out of memory')));
		const planner = made();
		await planner.ask(question);
		expect([planner.failed, planner.working]).toEqual([true, false]);
	});
});
