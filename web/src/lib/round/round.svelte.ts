import { v7 as uuid } from 'uuid';
import {
	evaluate,
	inPlaceFor,
	isPlausible,
	lengthOf,
	plausibleBand,
	readEntry,
	walk,
	type EngineState,
	type Quantity,
	type Reading,
	type RoundParts,
	type StationSheet
} from '@zinc-ledger/core';
import type { Bench } from '$lib/bench/bench.svelte';
import type { Book } from '$lib/job/book.svelte';
import { outbox } from '$lib/outbox/outbox.svelte';

/** One walk round the head, one quantity, one station after another. */
export class Round {
	readonly quantity: Quantity;
	#book: Book;
	#bench: Bench;

	/** What was answered at the start; null until the round has begun. */
	parts = $state.raw<RoundParts | null>(null);
	engine = $state<EngineState>('cold');
	gauge = $state.raw({ name: 'Height gauge', resolution: '0.001 in' });
	at = $state(0);
	typed = $state('');
	/** The text that was asked about because it is out of its plausible band. */
	asked = $state<string | null>(null);
	last = $state.raw<Reading | null>(null);
	finished = $state(false);

	order = $derived.by(() => walk(this.#book.job.stations, this.#book.job.setup.walkingOrder));
	entry = $derived.by(() => this.order[this.at]!);
	station = $derived.by(() => this.#book.station(this.entry.label)!);
	standing = $derived.by(() => this.station.inForce[this.quantity] ?? null);
	left = $derived.by(() => this.#open().length);
	understood = $derived.by(() =>
		this.typed.trim() === '' ? null : readEntry(this.typed, this.#bench.units.length)
	);
	draft = $derived.by(() => this.#draft());
	/** Whether the figure typed so far lies where such a figure is expected. */
	plausible = $derived.by(() => this.#isPlausible());
	/** The station as it would stand with the figure typed so far; null while that makes no sense yet. */
	preview = $derived.by<StationSheet | null>(() => {
		const { draft } = this;
		if (!draft || (!this.plausible && this.asked === null)) return null;
		const { job } = this.#book;
		const sheet = evaluate({ ...job, readings: [...job.readings, draft] });
		return sheet.stations.find((station) => station.label === draft.station) ?? null;
	});

	constructor(quantity: Quantity, book: Book, bench: Bench) {
		this.quantity = quantity;
		this.#book = book;
		this.#bench = bench;
	}

	begin(parts: RoundParts): void {
		this.parts = parts;
		const first = this.#open()[0];
		this.at = first ?? 0;
		this.finished = first === undefined;
	}

	/** Takes what is typed. Out of its band it is asked about first; the same again keeps it. */
	enter(): void {
		const { draft } = this;
		if (!draft) return;
		if (!this.plausible && this.asked !== draft.read) {
			this.asked = draft.read;
			return;
		}
		const reading = { ...draft, id: uuid(), at: new Date().toISOString() };
		void outbox.add(this.#book.job.id, reading);
		this.last = reading;
		this.go(this.#nextOpen());
	}

	back(): void {
		this.go(Math.max(0, this.at - 1));
	}

	skip(): void {
		this.go((this.at + 1) % this.order.length);
	}

	goTo(label: string): void {
		this.go(this.order.findIndex((station) => station.label === label));
	}

	private go(to: number | undefined): void {
		this.typed = '';
		this.asked = null;
		if (to === undefined) this.finished = true;
		else {
			this.finished = false;
			this.at = to;
		}
	}

	#open(): number[] {
		return this.order.flatMap((station, i) =>
			this.#book.station(station.label)?.inForce[this.quantity] ? [] : [i]
		);
	}

	#nextOpen(): number | undefined {
		const open = this.#open();
		return open.find((i) => i > this.at) ?? open[0];
	}

	#isPlausible(): boolean {
		if (!this.draft) return false;
		const kind = this.#book.sheet.kinds[this.entry.kind];
		const band = plausibleBand(this.quantity, kind, this.draft.inPlace);
		return isPlausible(lengthOf(this.draft.read), band);
	}

	#draft(): Reading | null {
		const person = this.#bench.person;
		if (!this.parts || !person || !this.understood?.ok) return null;
		return {
			id: '00000000-0000-7000-8000-000000000000',
			station: this.entry.label,
			quantity: this.quantity,
			read: this.understood.text,
			gauge: { ...this.gauge, correction: '0 mm' },
			inPlace: inPlaceFor(this.#book.job, this.entry, this.quantity, this.parts),
			...(this.quantity === 'lash' && { engine: this.engine }),
			person: person.id,
			at: new Date().toISOString()
		};
	}
}
