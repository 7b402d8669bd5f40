import { wrap, type Remote } from 'comlink';
import { onDestroy } from 'svelte';
import type { Course, Job } from '@zinc-ledger/core';
import type { Sweeper as InWorker } from './sweep.worker';

interface Asked {
	readonly job: Job;
	readonly station: string;
	readonly speed: number;
	readonly separation: number | null;
}

/** The course of one valve's motion, asked for as fast as somebody drags: the last one asked for is what shows. */
export class Courser {
	course = $state.raw<Course | null>(null);
	/** Whether anything was worked out yet. */
	isKnown = $state(false);
	#worker: Worker | null = null;
	#remote: Remote<InWorker> | null = null;
	#next: Asked | null = null;
	#busy = false;

	constructor() {
		onDestroy(() => this.#worker?.terminate());
	}

	ask(asked: Asked): void {
		this.#next = asked;
		if (!this.#busy) void this.#work();
	}

	async #work(): Promise<void> {
		this.#busy = true;
		while (this.#next) {
			const { job, station, speed, separation } = this.#next;
			this.#next = null;
			this.#worker ??= new Worker(new URL('./sweep.worker.ts', import.meta.url), {
				type: 'module'
			});
			this.#remote ??= wrap<InWorker>(this.#worker);
			this.course = await this.#remote.course(job, station, speed, separation);
			this.isKnown = true;
		}
		this.#busy = false;
	}
}
