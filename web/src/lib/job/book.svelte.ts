import { getContext, setContext } from 'svelte';
import { v7 as uuid } from 'uuid';
import {
	evaluate,
	stagesOf,
	type Acceptance,
	type HeadWork,
	type Inspection,
	type Job,
	type Person,
	type Reading,
	type Setup,
	type StationParts,
	type StationSheet
} from '@zinc-ledger/core';
import { outbox } from '$lib/outbox/outbox.svelte';

interface Entries {
	inspections: Inspection;
	headWork: HeadWork;
	acceptances: Acceptance;
}

/**
 * The job open in this browser: what the server has, with what still waits to
 * be sent laid on top, and the sheet worked out from both.
 */
export class Book {
	#stored = $state.raw<Job>() as Job;
	/** Of the set-up, which a change must name. */
	#revision = 0;
	job = $derived.by(() => this.#withWaiting());
	sheet = $derived(evaluate(this.job));
	stages = $derived(stagesOf(this.job, this.sheet));

	constructor(job: Job, revision: number) {
		this.#stored = job;
		this.#revision = revision;
	}

	/** Takes over what the server has now. */
	load(job: Job, revision: number): void {
		this.#stored = job;
		this.#revision = revision;
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
	fit(label: string, shims: string[]): Promise<string | null> {
		return this.#changeStation(label, { shims });
	}

	/** Gives a station parts of its own, or takes them off. @returns what went wrong, or null */
	setParts(label: string, parts: StationParts | null): Promise<string | null> {
		return this.#changeStation(label, { parts });
	}

	async #changeStation(
		label: string,
		change: { shims: string[] } | { parts: StationParts | null }
	): Promise<string | null> {
		const path = `/api/jobs/${this.job.id}/stations/${label}`;
		const problem = await send('PATCH', path, change);
		if (problem) return problem;
		const stations = this.#stored.stations.map((station) => {
			if (station.label !== label) return station;
			if ('shims' in change) return { ...station, ...change };
			const { parts: _, ...plain } = station;
			return change.parts ? { ...plain, parts: change.parts } : plain;
		});
		this.#stored = { ...this.#stored, stations };
		return null;
	}

	/** Changes the set-up, if nobody did since it was loaded. @returns what went wrong, or null */
	async changeSetup(setup: Setup): Promise<string | null> {
		const path = `/api/jobs/${this.job.id}/setup`;
		const problem = await send('PUT', path, { revision: this.#revision, setup });
		if (problem) return problem;
		this.#revision += 1;
		this.#stored = { ...this.#stored, setup };
		return null;
	}

	/** Adds to one of the job's lists, in this person's name. @returns what went wrong, or null */
	async append<L extends keyof Entries>(
		list: L,
		person: Person | null,
		entry: Omit<Entries[L], 'person'>
	): Promise<string | null> {
		if (!person) return 'Pick who works at this bench first, at the top.';
		const whole = { ...entry, person: person.id } as unknown as Entries[L];
		const problem = await send('POST', `/api/jobs/${this.job.id}/entries/${list}`, whole);
		if (problem) return problem;
		const people = this.#stored.people.some(({ id }) => id === person.id)
			? this.#stored.people
			: [...this.#stored.people, person];
		this.#stored = { ...this.#stored, people, [list]: [...this.#stored[list], whole] };
		return null;
	}

	/** The initials of somebody on this job. */
	initials(person: string): string {
		return this.job.people.find(({ id }) => id === person)?.initials ?? '';
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
