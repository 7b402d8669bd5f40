import { getContext, setContext } from 'svelte';
import { v7 as uuid } from 'uuid';
import {
	evaluate,
	lengthText,
	stagesOf,
	withPlan,
	withShelf,
	type Acceptance,
	type AsFound,
	type AssemblyStep,
	type Check,
	type HeadWork,
	type Inspection,
	type Job,
	type Look,
	type Motions,
	type Note,
	type CaseOutcome,
	type Person,
	type Plan,
	type Reading,
	type Scope,
	type Setup,
	type ShelvedShim,
	type Since,
	type StationParts,
	type StationSheet,
	type Trial,
	type Units
} from '@zinc-ledger/core';
import type { SignedEntry } from './signed';
import { send, sent } from '$lib/http/send-json';
import { outbox } from '$lib/outbox/outbox.svelte';
import { message } from '@zinc-ledger/core';
import { tell } from '@zinc-ledger/words';

interface Entries {
	inspections: Inspection;
	headWork: HeadWork;
	acceptances: Acceptance;
	assembly: AssemblyStep;
	checks: Check;
	notes: Note;
	asFound: AsFound;
	motions: Motions;
	since: Since;
	looks: Look;
	trials: Trial;
	outcomes: CaseOutcome;
}

/**
 * The job open in this browser: what the server has, with what still waits to
 * be sent laid on top, and the sheet worked out from both.
 */
export class JobStore {
	#stored = $state.raw<Job>() as Job;
	/** Of the set-up, which a change must name. */
	#revision = 0;
	/** Questions for the job are counted, so that an answer that comes late is known for one. */
	#asked = 0;
	#answered = 0;
	job = $derived.by(() => this.#withWaiting());
	/** Shims that the shop counts, which stand in place of what the job says of them. */
	shims = $state.raw<readonly ShelvedShim[]>([]);
	/** The job with the shop's shelf laid on. */
	shelved = $derived(withShelf(this.job, this.shims));
	sheet = $derived(evaluate(this.shelved));
	/** Sheets signed so far, newest first. */
	signed = $state.raw<readonly SignedEntry[]>([]);
	stages = $derived(stagesOf(this.job, this.sheet, this.signed[0] ?? null));

	constructor(
		job: Job,
		revision: number,
		signed: readonly SignedEntry[] = [],
		shims: readonly ShelvedShim[] = []
	) {
		this.signed = signed;
		this.shims = shims;
		this.#stored = job;
		this.#revision = revision;
	}

	/**
	 * Takes over what the server has now. Readings confirmed while it was on its
	 * way stay: they are only ever added to. The same job again is no change, and
	 * takes nothing away that a page has worked out from it. One from before a
	 * change of the set-up made here is asked for again.
	 */
	load(
		job: Job,
		revision: number,
		signed: readonly SignedEntry[] = this.signed,
		shims: readonly ShelvedShim[] = this.shims
	): void {
		if (revision < this.#revision) return void this.refresh();
		this.signed = signed;
		if (JSON.stringify(shims) !== JSON.stringify(this.shims)) this.shims = shims;
		this.#revision = revision;
		const before = this.#stored;
		if (JSON.stringify(job) === JSON.stringify(before)) return;
		this.#stored = job;
		if (before.id === job.id) this.confirm(before.readings);
	}

	/**
	 * Asks for the job anew: somebody changed something on it. An answer that was
	 * on its way while something changed here may be older than that, so it is
	 * left, and asked for again.
	 */
	async refresh(): Promise<void> {
		const before = this.#stored;
		const { id } = before;
		const asked = ++this.#asked;
		try {
			const response = await fetch(`/api/jobs/${id}`);
			if (!response.ok) return;
			const { job, revision, signed, shims } = (await response.json()) as {
				job: Job;
				revision: number;
				signed: SignedEntry[];
				shims: ShelvedShim[];
			};
			// What was asked for later was answered already: this one may be from before it.
			if (this.#stored.id !== id || asked < this.#answered) return;
			this.#answered = asked;
			if (this.#stored === before) this.load(job, revision, signed, shims);
			else await this.refresh();
		} catch {
			// The line to the server says when it is back, and asks again then.
		}
	}

	station(label: string): StationSheet | undefined {
		return this.sheet.stations.find((station) => station.label === label);
	}

	/** Adds readings that the server has confirmed; ones already here are left alone. */
	confirm(readings: readonly Reading[]): void {
		const here = new Set(this.#stored.readings.map((reading) => reading.id));
		const fresh = readings.filter(({ id }) => !here.has(id) && here.add(id));
		if (fresh.length > 0) {
			this.#stored = { ...this.#stored, readings: [...this.#stored.readings, ...fresh] };
		}
	}

	/** Voids a reading: it stays, struck through. @returns what went wrong, or null */
	async voidReading(reading: Reading, reason: string, person: Person): Promise<string | null> {
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

	/** Puts the shims that are suggested into a station's build, in the unit that the stock is counted in. @returns what went wrong, or null */
	async fitSuggested({ label, shim }: StationSheet, person: Person | null): Promise<string | null> {
		if (shim?.answer.type !== 'fit') return null;
		if (!person) return tell(message('server.operator-required'));
		const unit = this.job.setup.shimStock[0]?.thickness.endsWith('in') ? 'in' : 'mm';
		return this.fit(
			label,
			shim.answer.shims.map((one) => lengthText(one, unit))
		);
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
		// The shelf holds less, and the set-up may have a new revision.
		void this.refresh();
		return null;
	}

	/** Changes the set-up, if nobody did since it was loaded. @returns what went wrong, or null */
	async changeSetup(setup: Setup): Promise<string | null> {
		const path = `/api/jobs/${this.job.id}/setup`;
		const revision = this.#revision;
		const problem = await send('PUT', path, { revision, setup });
		if (problem) return problem;
		// The job may have come anew meanwhile, with this change in it.
		this.#revision = Math.max(this.#revision, revision + 1);
		this.#stored = { ...this.#stored, setup };
		return null;
	}

	/** Takes on another set-up with what it builds otherwise, as a whole. @returns what went wrong, or null */
	async rebuild({ setup, stations }: Job): Promise<string | null> {
		const builds = stations.flatMap((entry, i) => {
			if (entry === this.job.stations[i]) return [];
			const { label, shims, lockOffset, parts, spring } = entry;
			return [{ label, shims, lockOffset, parts, spring }];
		});
		const path = `/api/jobs/${this.job.id}/setup`;
		const problem = await send('PUT', path, { revision: this.#revision, setup, builds });
		if (problem === null) await this.refresh();
		return problem;
	}

	/** Adds to one of the job's lists, in this person's name. @returns what went wrong, or null */
	async append<L extends keyof Entries>(
		list: L,
		person: Person | null,
		entry: Omit<Entries[L], 'person'>
	): Promise<string | null> {
		if (!person) return tell(message('server.operator-required'));
		const whole = { ...entry, person: person.id } as unknown as Entries[L];
		const path = `/api/jobs/${this.job.id}/entries/${list}`;
		// The server's time counts: by it work on the head makes readings stale.
		const answer = await sent('POST', path, whole);
		if ('problem' in answer) return answer.problem;
		const at = (answer.body as { at?: string }).at ?? entry.at;
		this.#stored = {
			...this.#stored,
			people: this.#withPerson(person),
			[list]: [...this.#stored[list], { ...whole, at }]
		};
		return null;
	}

	/** Marks the same step at several stations, each as an entry of its own. @returns what went wrong, or null */
	async mark(
		person: Person | null,
		steps: readonly Omit<AssemblyStep, 'person'>[]
	): Promise<string | null> {
		if (!person) return tell(message('server.operator-required'));
		const whole = steps.map((step) => ({ ...step, person: person.id }));
		const answer = await sent('POST', `/api/jobs/${this.job.id}/steps`, { steps: whole });
		if ('problem' in answer) return answer.problem;
		const { at } = answer.body as { at: string };
		const assembly = [...this.#stored.assembly, ...whole.map((step) => ({ ...step, at }))];
		this.#stored = { ...this.#stored, people: this.#withPerson(person), assembly };
		return null;
	}

	/** Signs the job as it stands. @returns what went wrong, or null */
	async sign(person: Person | null, units: Units, scope: Scope): Promise<string | null> {
		if (!person) return tell(message('server.operator-required'));
		const body = { person: person.id, units, scope };
		const problem = await send('POST', `/api/jobs/${this.job.id}/signed`, body);
		if (problem === null) await this.refresh();
		return problem;
	}

	/** Writes down in which order the cylinders fire. @returns what went wrong, or null */
	async setFiringOrder(
		firingOrder: readonly number[],
		firingAngles?: readonly number[]
	): Promise<string | null> {
		const path = `/api/jobs/${this.job.id}/firing-order`;
		const body = { firingOrder, ...(firingAngles && { firingAngles }) };
		const problem = await send('PUT', path, body);
		if (problem === null) await this.refresh();
		return problem;
	}

	/** Says something to a question of the sheet. @returns what went wrong, or null */
	async answer(subject: string, answer: boolean, person: Person | null): Promise<string | null> {
		if (!person) return tell(message('server.operator-required'));
		const path = `/api/jobs/${this.job.id}/answers`;
		const problem = await send('POST', path, { subject, answer });
		if (problem === null) await this.refresh();
		return problem;
	}

	/** Accepts a plan, which makes the builds what it says. @returns what went wrong, or null */
	async acceptPlan(plan: Omit<Plan, 'person'>, person: Person | null): Promise<string | null> {
		if (!person) return tell(message('server.operator-required'));
		const whole = { ...plan, person: person.id };
		const answer = await sent('POST', `/api/jobs/${this.job.id}/plan`, whole);
		if ('problem' in answer) return answer.problem;
		const at = (answer.body as { at?: string }).at ?? plan.at;
		const people = this.#withPerson(person);
		const planned = withPlan(this.#stored, plan.stations);
		this.#stored = { ...planned, people, plans: [...planned.plans, { ...whole, at }] };
		void this.refresh();
		return null;
	}

	/** Takes parts off the shelf for this job; fewer than 0 are given back. @returns what went wrong, or null */
	takeParts(part: string, take: number): Promise<string | null> {
		return send('POST', `/api/jobs/${this.job.id}/stock`, { part, take });
	}

	/** Takes the newest plan back. @returns what went wrong, or null */
	async withdrawPlan(plan: string, reason: string): Promise<string | null> {
		const problem = await send('DELETE', `/api/jobs/${this.job.id}/plan`, { plan, reason });
		if (problem === null) await this.refresh();
		return problem;
	}

	#withPerson(person: Person): Person[] {
		const { people } = this.#stored;
		return people.some(({ id }) => id === person.id) ? people : [...people, person];
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

const KEY = Symbol('book');
export const setJobStore = (store: JobStore) => setContext(KEY, store);
export const getJobStore = () => getContext<JobStore>(KEY);
