import { proxy, wrap, type Remote } from 'comlink';
import { onDestroy } from 'svelte';
import type { ControlSweep, Job } from '@zinc-ledger/core';
import type { Sweeper as InWorker } from './sweep.worker';

/** Sweeps asked for from a page: one at a time, and each can be given up. */
export class Sweeper {
	/** How much is done, 0 to 1; null while nothing is worked on. */
	done = $state<number | null>(null);
	sweep = $state.raw<ControlSweep | null>(null);
	#worker: Worker | null = null;
	#asked = 0;

	constructor() {
		onDestroy(() => this.#worker?.terminate());
	}

	async ask(job: Job, station: string): Promise<void> {
		this.cancel();
		const mine = ++this.#asked;
		this.sweep = null;
		this.done = 0;
		this.#worker = new Worker(new URL('./sweep.worker.ts', import.meta.url), { type: 'module' });
		const remote: Remote<InWorker> = wrap<InWorker>(this.#worker);
		const told = proxy((done: number) => {
			if (mine === this.#asked) this.done = done;
		});
		const sweep = await remote.sweep(job, station, told);
		if (mine !== this.#asked) return;
		this.sweep = sweep;
		this.#end();
	}

	/** Stops at once. */
	cancel(): void {
		this.#asked++;
		this.#end();
	}

	#end(): void {
		this.#worker?.terminate();
		this.#worker = null;
		this.done = null;
	}
}
