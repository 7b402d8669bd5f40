import { proxy } from 'comlink';
import { onDestroy } from 'svelte';
import { WorkerClient } from '$lib/worker/worker-client';
import type { SweepAsked, Swept, Sweeper as InWorker } from './sweep.worker';

/** Sweeps asked for from a page: one at a time, and each can be given up. */
export class Sweeper {
	/** How much is done, 0 to 1; null while nothing is worked on. */
	done = $state<number | null>(null);
	/** Whether the worker died over the last sweep. */
	failed = $state(false);
	#worker: WorkerClient<InWorker> | null = null;
	#asked = 0;

	constructor() {
		onDestroy(() => this.#worker?.end());
	}

	/** Sweeps these valves, one of them to be shown. @returns null where it was given up meanwhile, or failed */
	async ask(asked: SweepAsked): Promise<Swept | null> {
		if (this.done !== null) this.cancel();
		const mine = ++this.#asked;
		this.done = 0;
		this.failed = false;
		this.#worker ??= new WorkerClient<InWorker>(
			new Worker(new URL('./sweep.worker.ts', import.meta.url), { type: 'module' })
		);
		// Progress comes by a line of its own, and may come in after the answer.
		const onProgress = proxy((done: number) => {
			if (mine === this.#asked && this.done !== null) this.done = done;
		});
		let swept: Swept;
		try {
			swept = await this.#worker.ask((remote) => remote.sweep(asked, onProgress));
		} catch {
			if (mine !== this.#asked) return null;
			this.cancel();
			this.failed = true;
			return null;
		}
		if (mine !== this.#asked) return null;
		// The worker stays: the next sweep finds it warm.
		this.done = null;
		return swept;
	}

	/** Stops at once. */
	cancel(): void {
		this.#asked++;
		this.#worker?.end();
		this.#worker = null;
		this.done = null;
	}
}
