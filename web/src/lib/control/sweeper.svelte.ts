import { proxy, wrap, type Remote } from 'comlink';
import { onDestroy } from 'svelte';
import type { SweepAsked, Swept, Sweeper as InWorker } from './sweep.worker';

/** Sweeps asked for from a page: one at a time, and each can be given up. */
export class Sweeper {
	/** How much is done, 0 to 1; null while nothing is worked on. */
	done = $state<number | null>(null);
	#worker: Worker | null = null;
	#asked = 0;

	constructor() {
		onDestroy(() => this.#worker?.terminate());
	}

	/** Sweeps these valves, one of them to be shown. @returns null where it was given up meanwhile */
	async ask(asked: SweepAsked): Promise<Swept | null> {
		if (this.done !== null) this.cancel();
		const mine = ++this.#asked;
		this.done = 0;
		this.#worker ??= new Worker(new URL('./sweep.worker.ts', import.meta.url), { type: 'module' });
		const remote: Remote<InWorker> = wrap<InWorker>(this.#worker);
		const told = proxy((done: number) => {
			if (mine === this.#asked) this.done = done;
		});
		const swept = await remote.sweep(asked, told);
		if (mine !== this.#asked) return null;
		// The worker stays: the next sweep finds it warm.
		this.done = null;
		return swept;
	}

	/** Stops at once. */
	cancel(): void {
		this.#asked++;
		this.#worker?.terminate();
		this.#worker = null;
		this.done = null;
	}
}
