import { v7 as uuid } from 'uuid';
import {
	evaluate,
	inPlaceFor,
	isByCylinder,
	isPlausible,
	PeakReader,
	plausibleBand,
	readAs,
	readMeasured,
	repeatsWanted,
	siOf,
	stationsAtHand,
	walk,
	type EngineState,
	type Quantity,
	type Reading,
	type CrankPosition,
	type RoundParts,
	type StationSheet
} from '@zinc-ledger/core';
import type { Bench } from '$lib/bench/bench.svelte';
import type { JobStore } from '$lib/job/store/job-store.svelte';
import { outbox } from '$lib/outbox/outbox.svelte';

/** Loads that anybody reads on a head, newtons: what tells 1,234 from 1.234. */
const LIKELY_LOADS = { from: 40, to: 8000 };

/** What is asked once before a round. */
export interface RoundBegun {
	readonly parts: RoundParts;
	readonly engine: EngineState;
	readonly lash: NonNullable<Reading['lash']>;
	readonly gauge: Reading['gauge'];
	readonly repeats: number;
	/** Id of a gauge that sends its readings; null where figures are typed. */
	readonly link: string | null;
}

/** One walk round the head, one quantity, one station after another. */
export class Round {
	readonly quantity: Quantity;
	#book: JobStore;
	#bench: Bench;

	/** What was answered at the start; null until the round has begun. */
	parts = $state.raw<RoundParts | null>(null);
	engine = $state<EngineState>('cold');
	/** Whether a lash is found or set, and the adjuster marked. */
	lash = $state.raw<NonNullable<Reading['lash']>>({ as: 'set', marked: false });
	/** Where to turn the crankshaft to, station by station, where a setting order is walked. */
	readonly stops: readonly CrankPosition[];
	/** The stations it goes to; all of them when empty. */
	readonly only: readonly string[];
	gauge = $state.raw<Reading['gauge']>({
		name: 'Height gauge',
		resolution: '0.001 in',
		correction: '0 mm'
	});
	/** Readings of each station, so many as were agreed on at the start. */
	repeats = 1;
	at = $state(0);
	/** The readings of the station at hand, of this set. */
	#set = $state.raw<readonly Reading[]>([]);
	#setId = uuid();
	readonly #peak = new PeakReader();
	typed = $state('');
	/** The text that was asked about because it is out of its plausible band. */
	asked = $state<string | null>(null);
	last = $state.raw<Reading | null>(null);
	/** When stations were finished in this round, in milliseconds. */
	#finishedAt = $state.raw<readonly number[]>([]);
	finished = $state(false);

	order = $derived.by(() => this.#order());
	/** The stop of the station at hand, and whether it is the first to be set there. */
	stop = $derived.by(() => {
		const { label } = this.entry;
		return this.stops.find(({ valves }) => valves.includes(label)) ?? null;
	});
	entry = $derived.by(() => this.order[this.at]!);
	station = $derived.by(() => this.#book.station(this.entry.label)!);
	current = $derived.by(() => this.station.inForce[this.quantity] ?? null);
	left = $derived.by(() => this.#open().length);
	parsed = $derived.by(() =>
		this.typed.trim() === ''
			? null
			: readMeasured(this.typed, readAs(this.quantity), this.#bench.units, LIKELY_LOADS)
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

	constructor(
		quantity: Quantity,
		store: JobStore,
		bench: Bench,
		{ stops = [], only = [] }: { stops?: readonly CrankPosition[]; only?: readonly string[] } = {}
	) {
		this.quantity = quantity;
		this.stops = stops;
		this.only = only;
		this.#book = store;
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
		this.#set = [...this.#set, reading];
		if (this.again === null) {
			this.#finishedAt = [...this.#finishedAt, Date.now()];
			this.go(this.#nextOpen());
		} else this.typed = '';
	}

	/** Which reading of the station at hand is wanted next, and of how many; null when it has all it wants. */
	get again(): {
		readonly number: number;
		readonly of: number;
		readonly why: string | null;
	} | null {
		const read = this.#set.length;
		const of = repeatsWanted(this.#set, this.repeats);
		if (read === 0 || read >= of) return null;
		return {
			number: read + 1,
			of,
			why: of > this.repeats ? 'The first two lie further apart than the gauge explains.' : null
		};
	}

	/** Minutes that the stations left take at the pace of those done; null before there is a pace. */
	get minutesLeft(): number | null {
		const done = this.#finishedAt;
		if (done.length < 3) return null;
		const each = (done.at(-1)! - done[0]!) / (done.length - 1);
		return Math.ceil((each * this.left) / 60_000);
	}

	/** Takes what a gauge sends: each reading of a height gauge, the peak of each pull of an on-head tester. */
	hear(
		readings: readonly (readonly [height: string | null, load: string | null, at: number])[]
	): void {
		if (!this.parts || this.finished) return;
		for (const [height, load] of readings) {
			const sent = readAs(this.quantity) === 'load' ? this.#peakOf(load) : height;
			if (sent === null) continue;
			this.typed = sent;
			this.enter();
		}
	}

	#peakOf(load: string | null): string | null {
		if (load === null) return null;
		const [digits, unit] = load.split(' ');
		const peak = this.#peak.push(Number(digits));
		return peak === null ? null : `${peak} ${unit}`;
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
		this.#set = [];
		this.#setId = uuid();
		if (to === undefined) this.finished = true;
		else {
			this.finished = false;
			this.at = to;
		}
	}

	#order() {
		const { job } = this.#book;
		const { setup } = job;
		const { only } = this;
		const every = walk(stationsAtHand(job), setup.measuringOrder).filter(
			({ label }) => only.length === 0 || only.includes(label)
		);
		const walked = isByCylinder(this.quantity)
			? every.filter(({ cylinder }, i) => every.findIndex((one) => one.cylinder === cylinder) === i)
			: every;
		if (this.stops.length === 0) return walked;
		return this.stops.flatMap(({ valves }) =>
			valves.flatMap((label) => walked.find((entry) => entry.label === label) ?? [])
		);
	}

	#open(): number[] {
		return this.order.flatMap((station, i) => (this.#isRead(station.label) ? [] : [i]));
	}

	/**
	 * A gap that was read before its seal was home is asked for again once the seals are, and a
	 * lash that was found once it is set.
	 */
	#isRead(label: string): boolean {
		const reading = this.#book.station(label)?.inForce[this.quantity];
		if (reading === undefined) return false;
		if (this.lash.as === 'set' && reading.lash?.as === 'found') return false;
		return !(this.parts?.sealHome && reading.inPlace.sealHome === false);
	}

	#nextOpen(): number | undefined {
		const open = this.#open();
		return open.find((i) => i > this.at) ?? open[0];
	}

	#isPlausible(): boolean {
		if (!this.draft) return false;
		const kind = this.#book.sheet.kinds[this.entry.kind];
		const band = plausibleBand(this.quantity, kind, this.draft.inPlace);
		return isPlausible(siOf(this.draft.read), band);
	}

	#draft(): Reading | null {
		const person = this.#bench.person;
		if (!this.parts || !person || !this.parsed?.ok) return null;
		return {
			id: '00000000-0000-7000-8000-000000000000',
			station: this.entry.label,
			quantity: this.quantity,
			read: this.parsed.text,
			gauge: this.gauge,
			inPlace: inPlaceFor(this.#book.job, this.entry, this.quantity, this.parts),
			...(this.repeats > 1 && { set: this.#setId }),
			...(this.quantity === 'lash' && { engine: this.engine, lash: this.lash }),
			person: person.id,
			at: new Date().toISOString()
		};
	}
}
