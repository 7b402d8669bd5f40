<script lang="ts">
	/** What is in place is asked once, and kept with every reading of the round. */
	import { readEntry, type EngineState, type Quantity, type RoundParts } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getBook } from '$lib/job/book.svelte';
	import Field from '$lib/ui/Field.svelte';
	import { gaugeResolution, ROUND_WORDS } from './words';

	interface Answer {
		parts: RoundParts;
		engine: EngineState;
		gauge: { name: string; resolution: string };
	}
	let { quantity, onbegin }: { quantity: Quantity; onbegin: (answer: Answer) => void } = $props();
	const book = getBook();
	const bench = getBench();
	const words = $derived(ROUND_WORDS[quantity]);

	const anyShims = $derived(book.job.stations.some((station) => station.shims.length > 0));
	let locator = $state(true);
	let shims = $state(false);
	let sealHome = $state(true);
	let engine = $state<EngineState>('cold');
	let recess = $state('0');
	let gauge = $derived(words.gauge);
	let resolution = $derived(gaugeResolution(bench.units));

	const recessRead = $derived(readEntry(recess, bench.units.length));
	const resolutionRead = $derived(readEntry(resolution, bench.units.length));
	const gaugeProblem = $derived(gauge.trim() === '' ? 'Name the gauge.' : undefined);
	const locators = $derived(
		[
			...new Set(
				Object.values(book.job.setup.kinds).map((kind) => kind.locator?.thickness ?? 'none given')
			)
		].join(' / ')
	);

	function begin(event: SubmitEvent) {
		event.preventDefault();
		if (!recessRead.ok || !resolutionRead.ok || gaugeProblem) return;
		onbegin({
			parts: { locator, shims, recess: recessRead.text, sealHome },
			engine,
			gauge: { name: gauge.trim(), resolution: resolutionRead.text }
		});
	}
</script>

<form class="max-w-2xl" onsubmit={begin}>
	<h2 class="text-xl font-semibold">What is in place?</h2>
	<p class="mt-1 text-soft">Asked once; kept with every reading of this round.</p>
	<div class="mt-4 border-t-2 border-ink">
		{#if quantity === 'installed height'}
			<label class="flex min-h-12 items-center gap-3 border-b border-hair">
				<input type="checkbox" class="size-5" bind:checked={locator} />
				Locator under the gauge <span class="figure text-soft">{locators}</span>
			</label>
			{#if !locator}
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
		{#if quantity === 'seal gap'}
			<label class="flex min-h-12 items-center gap-3 border-b border-hair">
				<input type="checkbox" class="size-5" bind:checked={sealHome} />
				Every seal pushed fully home
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
		{/if}
	</div>
	<div class="mt-4 grid grid-cols-3 gap-4">
		<Field label="Gauge" problem={gaugeProblem}>
			{#snippet control(attributes)}
				<input class="field" bind:value={gauge} {...attributes} />
			{/snippet}
		</Field>
		<Field
			label="It reads to"
			problem={resolutionRead.ok ? undefined : resolutionRead.problem}
			hint={resolutionRead.ok ? resolutionRead.text : undefined}
		>
			{#snippet control(attributes)}
				<input class="field figure" inputmode="decimal" bind:value={resolution} {...attributes} />
			{/snippet}
		</Field>
		{#if quantity === 'installed height'}
			<Field
				label="Retainer sinks into it by"
				problem={recessRead.ok ? undefined : recessRead.problem}
				hint={recessRead.ok ? recessRead.text : undefined}
			>
				{#snippet control(attributes)}
					<input class="field figure" inputmode="decimal" bind:value={recess} {...attributes} />
				{/snippet}
			</Field>
		{/if}
	</div>
	<p class="caution mt-5">{words.caution}</p>
	<!-- svelte-ignore a11y_autofocus -->
	<button class="button button-main mt-5" autofocus>Begin the round</button>
</form>
