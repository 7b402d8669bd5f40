import { v7 as uuid } from 'uuid';
import {
	alike,
	assemblyOf,
	cylinderPlace,
	firstMissingPrerequisite,
	inWay,
	leaking,
	message,
	nextStep,
	readEntry,
	stepKey,
	type Step,
	type Way
} from '@zinc-ledger/core';
import { tell } from '@zinc-ledger/words';
import type { Bench } from '$lib/bench/bench.svelte';
import type { JobStore } from '$lib/job/store/job-store.svelte';

/** The assembly as somebody goes through it: the step at hand, and what is ticked, undone or stopped. */
export class Ticking {
	readonly #book: JobStore;
	readonly #bench: Bench;
	way = $state<Way>('by-station');
	/** Key of the step that was asked for; null for the one that comes next. */
	chosen = $state<string | null>(null);
	count = $state('');
	/** A height measured at the step, as typed. */
	measured = $state('');
	/** Stations that the same mark leaves out. */
	leftOut = $state.raw<ReadonlySet<string>>(new Set());
	note = $state('');
	problem = $state<string | null>(null);
	busy = $state(false);

	#assembly = $derived.by(() => assemblyOf(this.#book.job, this.#book.sheet));
	steps = $derived.by(() => this.#assembly.steps);
	done = $derived.by(() => this.#assembly.done);
	step = $derived.by<Step | null>(
		() =>
			this.steps.find(({ key }) => key === this.chosen) ??
			nextStep(inWay(this.steps, this.way), this.done)
	);
	/** Steps that one mark may stand for, where every step is done at all stations; a height is measured at each alone. */
	alike = $derived.by<readonly Step[]>(() =>
		this.step && this.way === 'by-step' ? alike(this.step, this.steps, this.done) : []
	);
	together = $derived.by(() => this.alike.filter(({ place }) => !this.leftOut.has(place)));
	ticked = $derived.by(() => (this.step ? (this.done.get(this.step.key) ?? null) : null));
	lacking = $derived.by(() =>
		this.step && !this.ticked ? firstMissingPrerequisite(this.step, this.steps, this.done) : null
	);
	/** The cylinder whose air holds the valve at hand; null on the bench, and for what is done once a job. */
	airAt = $derived.by(() => {
		const { job } = this.#book;
		const place = this.step?.place ?? 'job';
		if (job.setup.workLocation !== 'vehicle' || place === 'job') return null;
		const station = job.stations.find(({ label }) => label === place);
		return station ? cylinderPlace(station.cylinder) : place;
	});
	leaks = $derived.by(
		() => this.airAt !== null && leaking(this.#book.job.assembly).has(this.airAt)
	);
	/** Whether it can be said here that the air does not hold. */
	mayLeak = $derived.by(() => {
		if (this.airAt === null || !this.step) return false;
		if (this.step.step === 'air') return !this.ticked;
		return this.step.step !== 'air-off' && this.done.has(stepKey(this.airAt, 'air'));
	});

	constructor(store: JobStore, bench: Bench) {
		this.#book = store;
		this.#bench = bench;
	}

	async tick(what: Step, isDone: boolean): Promise<void> {
		const counted = Number.parseInt(this.count, 10);
		if (isDone && what.counts && !(counted >= 0)) {
			this.problem = tell(message('entry.count-missing'));
			return;
		}
		const height =
			isDone && what.expects !== undefined && this.measured.trim() !== ''
				? readEntry(this.measured, this.#bench.units.length)
				: null;
		if (height && !height.ok) {
			this.problem = tell(height.problem);
			return;
		}
		await this.#keep(what, {
			done: isDone,
			...(isDone && what.counts && { count: counted }),
			...(height && { measured: height.text })
		});
	}

	/** The step at hand at every station that it stands for, each in this person's name. */
	async tickAll(): Promise<void> {
		const at = new Date().toISOString();
		const note = this.note.trim();
		await this.#during(() =>
			this.#book.mark(
				this.#bench.person,
				this.together.map(({ place, step }) => ({
					id: uuid(),
					place,
					step,
					done: true,
					...(note && { note }),
					at
				}))
			)
		);
	}

	/** Whether a station goes with the next mark. */
	take(place: string, taken: boolean): void {
		const left = new Set(this.leftOut);
		if (taken) left.delete(place);
		else left.add(place);
		this.leftOut = left;
	}

	finish(): void {
		if (this.step && !this.ticked && !this.lacking) void this.tick(this.step, true);
	}

	undo(): void {
		const [last] = [...this.done].toSorted(([, a], [, b]) => Date.parse(b.at) - Date.parse(a.at));
		const of = last && this.steps.find(({ key }) => key === last[0]);
		if (of) void this.tick(of, false);
	}

	/** The air does not hold, or fell: the list stops until it is proved again. */
	async stopAtLeak(): Promise<void> {
		if (this.airAt !== null)
			await this.#keep({ place: this.airAt, step: 'air' }, { done: false, leaks: true });
	}

	async #keep(
		{ place, step }: Pick<Step, 'place' | 'step'>,
		what: { done: boolean; count?: number; measured?: string; leaks?: true }
	): Promise<void> {
		await this.#during(() =>
			this.#book.append('assembly', this.#bench.person, {
				id: uuid(),
				place,
				step,
				...what,
				...(this.note.trim() && { note: this.note.trim() }),
				at: new Date().toISOString()
			})
		);
	}

	async #during(keep: () => Promise<string | null>): Promise<void> {
		if (this.busy) return;
		this.busy = true;
		this.problem = await keep();
		this.busy = false;
		if (this.problem !== null) return;
		this.chosen = null;
		this.count = '';
		this.measured = '';
		this.leftOut = new Set();
		this.note = '';
	}
}
