import { proxy } from 'comlink';
import { onDestroy } from 'svelte';
import { KINDS, type PlanAnswer, type PlanQuestion } from '@zinc-ledger/core';
import { WorkerClient } from '$lib/worker/worker-client';
import type { Planner as InWorker } from './plan.worker';

/** Shims alone, shims to the card's height, and where springs ran all of them new. */
export type SimplerPlan = 'to-card-height' | 'shims-only' | 'all-new';

const stationsOf = ({ job }: PlanQuestion) => job.stations.map(({ label }) => label);

/** Longest time that a plan is worked on before the best so far is shown. */
const SECONDS = 20;

/** Plans asked for from a page: the newest question counts, and can be given up. */
export class Planner {
	working = $state(false);
	/** The answer, or the best so far while it is being worked on. */
	answer = $state.raw<PlanAnswer | null>(null);
	/** Simpler plans to compare with. */
	simpler = $state.raw<readonly (readonly [SimplerPlan, PlanAnswer])[]>([]);
	/** How long the last plan took, in milliseconds. */
	took = $state<number | null>(null);
	/** Whether the worker died over the last question. */
	failed = $state(false);
	#worker: WorkerClient<InWorker> | null = null;
	#asked = 0;

	constructor() {
		onDestroy(() => this.#worker?.end());
	}

	/** Loads worker and solver, so that the first plan need not wait for them. */
	open(): void {
		this.#worker = new WorkerClient<InWorker>(
			new Worker(new URL('./plan.worker.ts', import.meta.url), { type: 'module' })
		);
	}

	async ask(question: PlanQuestion): Promise<void> {
		if (this.working) this.cancel();
		const mine = ++this.#asked;
		this.working = true;
		this.failed = false;
		this.answer = null;
		this.simpler = [];
		const isMine = () => mine === this.#asked;
		try {
			await this.#work(question, isMine);
		} catch {
			if (!isMine()) return;
			this.cancel();
			this.failed = true;
		}
	}

	async #work(question: PlanQuestion, isMine: () => boolean): Promise<void> {
		const start = performance.now();
		// Progress comes by a line of its own, and may come in after the answer.
		let isOver = false;
		const answer = await this.#plan(question, (soFar) => {
			if (isMine() && !isOver) this.answer = soFar;
		});
		isOver = true;
		if (!isMine()) return;
		this.answer = answer;
		this.took = performance.now() - start;
		this.working = false;
		const plain = { ...question, placeSprings: false, lockStock: [] };
		const simpler: readonly (readonly [SimplerPlan, PlanQuestion])[] = [
			['to-card-height', { ...plain, job: toCardHeight(question.job) }],
			['shims-only', plain],
			...(question.newSprings
				? [['all-new', { ...plain, replaced: stationsOf(question) }] as const]
				: [])
		];
		for (const [name, asked] of simpler) {
			const other = await this.plainly(asked);
			if (!isMine()) return;
			this.simpler = [...this.simpler, [name, other]];
		}
	}

	/** A plan that nobody watches being worked out. @throws where the worker dies over it */
	plainly(question: PlanQuestion): Promise<PlanAnswer> {
		return this.#plan(question, () => undefined);
	}

	#plan(question: PlanQuestion, onProgress: (answer: PlanAnswer) => void): Promise<PlanAnswer> {
		if (!this.#worker) this.open();
		return this.#worker!.ask(async (remote) => remote.plan(question, SECONDS, proxy(onProgress)));
	}

	/** Lets the answer go, once it is accepted. */
	forget(): void {
		this.answer = null;
		this.simpler = [];
	}

	/** Stops at once; the best plan so far stays. */
	cancel(): void {
		this.#asked++;
		this.#worker?.end();
		this.working = false;
		this.answer ??= { type: 'stopped' };
		this.open();
	}
}

/** The job with the card's height as the aim of both kinds. */
function toCardHeight(job: PlanQuestion['job']): PlanQuestion['job'] {
	const kinds = structuredClone(job.setup.kinds);
	for (const kind of KINDS) kinds[kind].aim = { method: 'card-height' };
	return { ...job, setup: { ...job.setup, kinds } };
}
