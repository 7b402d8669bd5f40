import { onDestroy } from 'svelte';
import type { Job, Kind, LibraryPart, LiftOption } from '@zinc-ledger/core';
import { WorkerClient } from '$lib/worker/worker-client';
import type { Tried } from './lift.worker';

type Ladder = readonly LiftOption[];

/** What the shop's parts would gain, tried in a worker; the newest question of each kind counts. */
export class Ladders {
	/** The ladder of each kind with the shop's parts; null while they are being tried. */
	of = $state.raw<Readonly<Record<Kind, Ladder | null>>>({ intake: null, exhaust: null });
	/** Whether the worker died over a question. */
	failed = $state(false);
	#worker: WorkerClient<Tried> | null = null;
	#asked: Record<Kind, number> = { intake: 0, exhaust: 0 };

	constructor() {
		onDestroy(() => this.#worker?.end());
	}

	async ask(job: Job, kind: Kind, library: readonly LibraryPart[]): Promise<void> {
		const mine = ++this.#asked[kind];
		this.failed = false;
		this.#keep(kind, null);
		this.#worker ??= new WorkerClient<Tried>(
			new Worker(new URL('./lift.worker.ts', import.meta.url), { type: 'module' })
		);
		try {
			const ladder = await this.#worker.ask((remote) => remote.ladder(job, kind, library));
			if (mine === this.#asked[kind]) this.#keep(kind, ladder);
		} catch {
			this.#worker?.end();
			this.#worker = null;
			this.failed = true;
		}
	}

	#keep(kind: Kind, ladder: Ladder | null): void {
		this.of = { ...this.of, [kind]: ladder };
	}
}
