import { onDestroy } from 'svelte';
import type { Course, Job } from '@zinc-ledger/core';
import { WorkerClient } from '$lib/worker/worker-client';
import type { Sweeper as InWorker } from './sweep.worker';

interface Asked {
	readonly job: Job;
	readonly station: string;
	readonly speed: number;
	readonly separation: number | null;
}

/** The course of one valve's motion, asked for as fast as somebody drags: the last one asked for is what shows. */
export class MotionPreview {
	course = $state.raw<Course | null>(null);
	/** Whether anything was worked out yet. */
	isKnown = $state(false);
	/** Whether the worker died over the last question. */
	failed = $state(false);
	#worker: WorkerClient<InWorker> | null = null;
	#next: Asked | null = null;
	#busy = false;

	constructor() {
		onDestroy(() => this.#worker?.end());
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
			this.#worker ??= new WorkerClient<InWorker>(
				new Worker(new URL('./sweep.worker.ts', import.meta.url), { type: 'module' })
			);
			try {
				this.course = await this.#worker.ask((remote) =>
					remote.course(job, station, speed, separation)
				);
				this.isKnown = true;
				this.failed = false;
			} catch {
				this.#worker.end();
				this.#worker = null;
				this.failed = true;
			}
		}
		this.#busy = false;
	}
}
