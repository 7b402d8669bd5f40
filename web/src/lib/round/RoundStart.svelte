<script lang="ts">
	/** What is in place is asked once, and kept with every reading of the round. */
	import {
		gaugeInHand,
		isLoad,
		lengthOf,
		readEntry,
		readLoadEntry,
		type EngineState,
		type Quantity,
		type Reading,
		type RoundParts
	} from '@zinc-ledger/core';
	import type { KnownGauge } from '$lib/gauges/known';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getBook } from '$lib/job/book.svelte';
	import { isTyping } from '$lib/keys/keys.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Key from '$lib/ui/Key.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import { gaugeResolution, GAUGES_FOR, ROUND_WORDS } from './words';

	interface Answer {
		parts: RoundParts;
		engine: EngineState;
		lash: NonNullable<Reading['lash']>;
		gauge: Reading['gauge'];
		repeats: number;
		/** Id of a gauge that sends its readings. */
		link: string | null;
	}
	interface Props {
		quantity: Quantity;
		gauges: readonly KnownGauge[];
		onbegin: (answer: Answer) => void;
	}
	let { quantity, gauges, onbegin }: Props = $props();
	const book = getBook();
	const bench = getBench();
	const words = $derived(ROUND_WORDS[quantity]);

	const anyShims = $derived(book.job.stations.some((station) => station.shims.length > 0));
	/** Never answered for anybody: a locator left out is the classic mistake. */
	let locator = $state<'yes' | 'no' | null>(null);
	let shims = $state(false);
	let sealHome = $state(true);
	let isGround = $state(true);
	let lashCap = $state(true);
	let asked = $state(false);
	const isGap = $derived(quantity === 'seal-gap' || quantity === 'seal-gap-at-lift');
	const isOverTip = $derived(quantity === 'tip-height' || quantity.startsWith('rocker'));
	const kinds = $derived(Object.values(book.job.setup.kinds));
	const anyGround = $derived(
		kinds.some(({ retainer }) => retainer && lengthOf(retainer.groundOff) > 0)
	);
	const anyCap = $derived(kinds.some((kind) => kind.lashCap));
	let engine = $state<EngineState>('cold');
	let as = $state<'found' | 'set'>('set');
	let marked = $state(false);
	let recess = $state('0');
	let gauge = $derived(words.gauge);
	let resolution = $derived(gaugeResolution(quantity, bench.units));
	const fitting = $derived(
		gauges.filter(({ gauge: known }) => GAUGES_FOR[quantity].includes(known.sort))
	);
	/** A gauge of the shop, by its id; empty when another is named. */
	let known = $state('');
	const inHand = $derived(fitting.find((one) => one.gauge.id === known));
	let repeats = $derived(quantity === 'installed-height' ? 2 : 1);

	const recessRead = $derived(readEntry(recess, bench.units.length));
	const resolutionRead = $derived(
		isLoad(quantity)
			? readLoadEntry(resolution, bench.units.load)
			: readEntry(resolution, bench.units.length)
	);
	const gaugeProblem = $derived(gauge.trim() === '' ? 'Name the gauge.' : undefined);
	const locators = $derived(
		[
			...new Set(
				Object.values(book.job.setup.kinds).map((kind) => kind.locator?.thickness ?? 'none given')
			)
		].join(' / ')
	);

	/** The keypad alone answers, where no field takes what is typed. */
	function press(event: KeyboardEvent) {
		if (quantity !== 'installed-height' || isTyping(event)) return;
		if (event.key === '1') locator = 'yes';
		else if (event.key === '0') locator = 'no';
		else return;
		event.preventDefault();
	}

	function begin(event: SubmitEvent) {
		event.preventDefault();
		asked = quantity === 'installed-height' && locator === null;
		if (asked || !recessRead.ok || !resolutionRead.ok || gaugeProblem) return;
		onbegin({
			parts: {
				locator: locator !== 'no',
				shims,
				recess: recessRead.text,
				sealHome,
				...(anyGround && { isGround }),
				...(anyCap && { lashCap })
			},
			engine,
			lash: { as, marked: as === 'set' && marked },
			gauge: inHand
				? gaugeInHand(
						inHand.gauge,
						inHand.checks,
						isLoad(quantity) ? 'load' : 'length',
						inHand.repeats?.[quantity] ?? null
					)
				: { name: gauge.trim(), resolution: resolutionRead.text, correction: '0 mm' },
			repeats,
			link: inHand?.gauge.link ? inHand.gauge.id : null
		});
	}
</script>

<svelte:window onkeydown={press} />

<form class="max-w-2xl" onsubmit={begin}>
	<h2 class="text-xl font-semibold">Setup for this round</h2>
	<p class="mt-1 text-soft">Asked once; saved with every reading of this round.</p>
	<div class="mt-4 border-t-2 border-ink">
		{#if quantity === 'installed-height'}
			<fieldset class="flex min-h-12 flex-wrap items-center gap-x-6 border-b border-hair">
				<legend class="sr-only">Locator under the gauge</legend>
				<span>Locator under the gauge <span class="figure text-soft">{locators}</span></span>
				{#each [['yes', '1'], ['no', '0']] as const as [answer, key] (answer)}
					<label class="flex min-h-11 items-center gap-2">
						<input type="radio" class="size-5" value={answer} bind:group={locator} />
						{answer === 'yes' ? 'Yes' : 'No'}
						<Key>{key}</Key>
					</label>
				{/each}
			</fieldset>
			{#if asked && locator === null}
				<p role="alert" class="py-2 font-semibold text-stop">
					Answer first if the locator is under the gauge: without it every height is too tall by its
					thickness.
				</p>
			{/if}
			{#if locator === 'no'}
				<p class="py-2 font-semibold text-watch">
					Read on the bare pocket: the locator’s thickness will be taken off.
				</p>
			{/if}
			<label class="flex min-h-12 items-center gap-3 border-b border-hair">
				<input type="checkbox" class="size-5" bind:checked={shims} disabled={!anyShims} />
				Shims of the build under the gauge
				<span class="text-soft">{anyShims ? '' : 'none in the build'}</span>
			</label>
		{/if}
		{#if isGap && anyGround}
			<label class="flex min-h-12 items-center gap-3 border-b border-hair">
				<input type="checkbox" class="size-5" bind:checked={isGround} />
				The ground retainer stands there
			</label>
		{/if}
		{#if isOverTip && anyCap}
			<label class="flex min-h-12 items-center gap-3 border-b border-hair">
				<input type="checkbox" class="size-5" bind:checked={lashCap} />
				Lash cap on the tip
			</label>
		{/if}
		{#if isGap}
			<label class="flex min-h-12 items-center gap-3 border-b border-hair">
				<input type="checkbox" class="size-5" bind:checked={sealHome} />
				Every seal fully seated
			</label>
		{/if}
		{#if quantity === 'lash'}
			<fieldset class="flex min-h-12 items-center gap-6 border-b border-hair">
				<legend class="sr-only">Engine</legend>
				{#each ['cold', 'hot'] as const as state (state)}
					<label class="flex min-h-11 items-center gap-2">
						<input type="radio" value={state} bind:group={engine} /> Engine {state}
					</label>
				{/each}
			</fieldset>
			<fieldset class="flex min-h-12 flex-wrap items-center gap-6 border-b border-hair">
				<legend class="sr-only">Found or set</legend>
				<label class="flex min-h-11 items-center gap-2">
					<input type="radio" value="set" bind:group={as} /> As set now
				</label>
				<label class="flex min-h-11 items-center gap-2">
					<input type="radio" value="found" bind:group={as} /> As found, nothing turned
				</label>
				<label class="flex min-h-11 items-center gap-2">
					<input type="checkbox" class="size-4" bind:checked={marked} disabled={as === 'found'} />
					Adjusters marked
				</label>
			</fieldset>
		{/if}
	</div>
	<div class="mt-4 grid grid-cols-3 gap-4">
		<Field label="Readings per valve">
			{#snippet control(attributes)}
				<select class="field" bind:value={repeats} {...attributes}>
					<option value={1}>1</option>
					<option value={2}>2 (+1 if they disagree)</option>
					<option value={3}>3</option>
				</select>
			{/snippet}
		</Field>
		{#if fitting.length > 0}
			<Field
				label="Shop gauge"
				hint={inHand?.gauge.link ? 'sends: its button saves the reading' : undefined}
			>
				{#snippet control(attributes)}
					<select class="field" bind:value={known} {...attributes}>
						<option value="">Other</option>
						{#each fitting as { gauge: one } (one.id)}<option value={one.id}>{one.name}</option
							>{/each}
					</select>
				{/snippet}
			</Field>
		{/if}
		{#if !inHand}
			<TextField label="Gauge" problem={gaugeProblem} bind:value={gauge} />
			<TextField
				label="Resolution"
				problem={resolutionRead.ok ? undefined : resolutionRead.problem}
				hint={resolutionRead.ok ? resolutionRead.text : undefined}
				inputmode="decimal"
				bind:value={resolution}
				figure
			/>
		{/if}
		{#if quantity === 'installed-height'}
			<TextField
				label="Retainer recess in gauge"
				problem={recessRead.ok ? undefined : recessRead.problem}
				hint={recessRead.ok ? recessRead.text : undefined}
				inputmode="decimal"
				bind:value={recess}
				figure
			/>
		{/if}
	</div>
	<p class="caution mt-5">{words.caution}</p>
	<!-- svelte-ignore a11y_autofocus -->
	<button class="button button-main mt-5" autofocus>Start</button>
</form>
