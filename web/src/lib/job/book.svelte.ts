import { getContext, setContext } from 'svelte';
import { v7 as uuid } from 'uuid';
import {
	evaluate,
	stagesOf,
	type Job,
	type Person,
	type Reading,
	type StationSheet
} from '@zinc-ledger/core';
import { outbox } from '$lib/outbox/outbox.svelte';

/**
 * The job open in this browser: what the server has, with what still waits to
 * be sent laid on top, and the sheet worked out from both.
 */
export class Book {
	#stored = $state.raw<Job>() as Job;
	job = $derived.by(() => this.#withWaiting());
	sheet = $derived(evaluate(this.job));
	stages = $derived(stagesOf(this.job, this.sheet));

	constructor(job: Job) {
		this.#stored = job;
	}

	/** Takes over what the server has now. */
	load(job: Job): void {
		this.#stored = job;
	}

	station(label: string): StationSheet | undefined {
		return this.sheet.stations.find((station) => station.label === label);
	}

	/** Adds readings that the server has confirmed; ones already here are left alone. */
	confirm(readings: readonly Reading[]): void {
		const here = new Set(this.#stored.readings.map((reading) => reading.id));
		const fresh = readings.filter((reading) => !here.has(reading.id));
		if (fresh.length > 0) {
			this.#stored = { ...this.#stored, readings: [...this.#stored.readings, ...fresh] };
		}
	}

	/** Strikes a reading through. @returns what went wrong, or null */
	async strike(reading: Reading, reason: string, person: Person): Promise<string | null> {
		const entry = {
			id: uuid(),
			reading: reading.id,
			reason,
			person: person.id,
			at: new Date().toISOString()
		};
		const problem = await send('POST', `/api/jobs/${this.job.id}/voids`, entry);
		if (problem) return problem;
		this.#stored = { ...this.#stored, voids: [...this.#stored.voids, entry] };
		return null;
	}

	/** Puts these shims into a station's build. @returns what went wrong, or null */
	async fit(label: string, shims: string[]): Promise<string | null> {
		const path = `/api/jobs/${this.job.id}/stations/${label}/shims`;
		const problem = await send('PUT', path, { shims });
		if (problem) return problem;
		const stations = this.#stored.stations.map((station) =>
			station.label === label ? { ...station, shims } : station
		);
		this.#stored = { ...this.#stored, stations };
		return null;
	}

	#withWaiting(): Job {
		const mine = outbox.waiting
			.filter((waiting) => waiting.jobId === this.#stored.id && !waiting.refused)
			.map((waiting) => waiting.reading);
		const here = new Set(this.#stored.readings.map((reading) => reading.id));
		const extra = mine.filter((reading) => !here.has(reading.id));
		return extra.length === 0
			? this.#stored
			: { ...this.#stored, readings: [...this.#stored.readings, ...extra] };
	}
}

async function send(method: string, path: string, body: unknown): Promise<string | null> {
	try {
		const response = await fetch(path, {
			method,
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify(body)
		});
		if (response.ok) return null;
		const answer = (await response.json()) as { message?: string };
		return answer.message ?? 'The server would not take it.';
	} catch {
		return 'The server cannot be reached: nothing was changed. Try again.';
	}
}

const KEY = Symbol('book');
export const setBook = (book: Book) => setContext(KEY, book);
export const getBook = () => getContext<Book>(KEY);
