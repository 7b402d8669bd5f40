/** The springs of a set tested one after another: the pull at hand, and the sweep as it would be kept. */
import { untrack } from 'svelte';
import {
	correctionInForce,
	dialTargets,
	frameOf,
	frameStiffness,
	testerDeviation,
	lengthOf,
	MANUAL_TESTER,
	readEntry,
	sweepFigures,
	sweepPoints,
	USUAL_NOISE,
	type LibraryPart,
	type Millimetres,
	type SpringBuild,
	type SpringCard,
	type Sweep
} from '@zinc-ledger/core';
import type { Bench } from '$lib/bench/bench.svelte';
import { Device } from '$lib/parts/gauges/device.svelte';
import type { KnownGauge } from '$lib/parts/gauges/known';
import { newSweep } from '$lib/springs/sets/csv';
import { sweepOutbox } from '$lib/outbox/sweeps.svelte';
import type { TaggedSpring } from '$lib/springs/sets/worked';
import { Capture } from './capture.svelte';

/** What is tested, and with what. */
export interface TestData {
	readonly set: {
		readonly id: string;
		readonly name: string;
		readonly seat: string;
		readonly lift: string;
		readonly card: SpringCard | null;
		readonly build: SpringBuild | undefined;
	};
	readonly springs: readonly TaggedSpring[];
	readonly gauges: readonly KnownGauge[];
	/** Retainers of the library, one of which stands in the press. */
	readonly retainers: readonly LibraryPart<'retainer'>[];
	/** The tallest height that a measured valve of the set's job may have, in mm. */
	readonly tallest?: Millimetres | null;
}

export class SpringTest {
	readonly capture = new Capture();
	readonly device = new Device((readings) => this.capture.take(readings));
	readonly #data: () => TestData;
	readonly #bench: Bench;
	/** Id of the tester that sends; null where its dial is typed off. */
	testerId = $state<string | null>(null);
	tag = $state('');
	fixture = $state('0');
	retainer = $state('');
	/** What was saved last. */
	kept = $state<string | null>(null);
	problem = $state<string | null>(null);
	/** Tags swept here whose sweeps the page has not been told of yet. */
	#done = $state.raw<readonly string[]>([]);

	constructor(data: () => TestData, bench: Bench, tag: string | null) {
		this.#data = data;
		this.#bench = bench;
		const { springs } = data();
		this.tag =
			tag ?? (springs.find(({ sweeps }) => sweeps.length === 0) ?? springs[0])?.tag ?? 'T1';
		const last = springs.flatMap(({ sweeps }) => sweeps.slice(0, 1)).at(-1);
		// A set whose last spring was typed off a dial goes on so.
		this.testerId = last?.tester === MANUAL_TESTER ? null : (this.senders[0]?.gauge.id ?? null);
		this.fixture = last?.fixture ?? '0';
		this.retainer = last?.retainer ?? '';
	}

	/** Listens to the tester that is chosen, and cuts the pull off where it drops out. */
	follow(): void {
		$effect(() => {
			const id = this.testerId;
			untrack(() => (id === null ? this.device.leave() : this.device.listen(id)));
		});
		$effect(() => {
			const { state } = this.device;
			if (state === 'away' || state === 'unavailable') untrack(() => this.capture.cutOff());
		});
	}

	get set() {
		return this.#data().set;
	}
	get springs() {
		return this.#data().springs;
	}
	get retainers() {
		return this.#data().retainers.filter(({ retired }) => !retired);
	}
	get senders() {
		return this.#data().gauges.filter(({ gauge }) => gauge.link);
	}
	get seat() {
		return lengthOf(this.set.seat);
	}
	get lift() {
		return lengthOf(this.set.lift);
	}
	isTested = ({ tag, sweeps }: TaggedSpring) => sweeps.length > 0 || this.#done.includes(tag);
	/** The retainer in the press, where it is one of the library's. */
	pressed = $derived.by(() => {
		const name = this.retainer.trim().toLowerCase();
		return this.#data().retainers.find(({ part }) => part.name.toLowerCase() === name)?.part;
	});
	fixtureRead = $derived.by(() => readEntry(this.fixture, this.#bench.units.length));

	/** The sweep as it would be kept. */
	sweep = $derived.by<Sweep | null>(() => {
		const { capture, fixtureRead } = this;
		const { person } = this.#bench;
		if (capture.points.length === 0 || !fixtureRead.ok || !person) return null;
		const tester = this.#data().gauges.find(({ gauge }) => gauge.id === this.testerId);
		const checks = tester?.checks ?? [];
		const frame = frameStiffness(checks);
		const deviation = tester ? testerDeviation(tester.gauge, checks) : null;
		const applied = (dimension: 'length' | 'load') => {
			const { gain, offset } = correctionInForce(checks, dimension);
			return { gain, offset };
		};
		const retainer = this.retainer.trim();
		return newSweep(
			{
				set: this.set.name,
				tag: this.tag,
				tester: tester?.gauge.name ?? MANUAL_TESTER,
				fixture: fixtureRead.text,
				...(retainer && { retainer }),
				...(this.pressed && { step: this.pressed.step }),
				...(checks.length > 0 && {
					correction: {
						height: applied('length'),
						load: { ...applied('load'), ...(deviation !== null && { deviation }) },
						...(frame !== null && { frame: Math.round(frame) })
					}
				}),
				person: person.name
			},
			capture,
			[...capture.points]
		);
	});
	live = $derived.by(() => (this.sweep ? sweepPoints(this.sweep) : []));
	isOver = $derived.by(() => ['done', 'interrupted'].includes(this.capture.phase));
	figures = $derived.by(() => {
		const { sweep, live, seat, lift } = this;
		return this.isOver && sweep
			? sweepFigures(live, { seat, lift }, this.set.build, USUAL_NOISE, frameOf(sweep))
			: null;
	});
	/** What to run the dial to; nothing while the fixture is not known. */
	targets = $derived.by(() => {
		const { fixtureRead, seat, lift } = this;
		const { card } = this.set;
		if (!fixtureRead.ok) return null;
		return dialTargets(
			seat,
			lift,
			lengthOf(fixtureRead.text),
			card?.bind ? lengthOf(card.bind) : null,
			this.#data().tallest ?? seat
		);
	});

	choose(tag: string): void {
		this.tag = tag;
		this.capture.again();
	}

	/** Keeps the sweep, and goes on to the next spring that was not tested. */
	keep(): void {
		if (!this.#bench.person) {
			this.problem = 'Pick who works at this bench first, at the top; the sweep stays here.';
			return;
		}
		const { sweep, springs, tag } = this;
		if (!sweep || !this.isOver) return;
		this.problem = null;
		this.kept = `${tag}: ${sweep.points.length} points`;
		this.#done = [...this.#done, tag];
		void sweepOutbox.add(this.set.id, $state.snapshot(sweep) as Sweep, this.#bench.person.id);
		const at = springs.findIndex((one) => one.tag === tag);
		const next =
			springs.find((one, i) => i > at && !this.isTested(one)) ??
			springs.find((one) => !this.isTested(one));
		this.choose(next?.tag ?? tag);
	}
}
