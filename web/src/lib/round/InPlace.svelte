<script module lang="ts">
	import type { EngineState, RoundParts } from '@zinc-ledger/core';

	/** What stands at the valves while they are measured. */
	export interface InPlaceAnswers extends Omit<RoundParts, 'locator' | 'recess'> {
		/** Never answered for anybody: a locator left out is the classic mistake. */
		locator: 'yes' | 'no' | null;
		shims: boolean;
		sealHome: boolean;
		isGround: boolean;
		lashCap: boolean;
		engine: EngineState;
		as: 'found' | 'set';
		marked: boolean;
	}
</script>

<script lang="ts">
	/** What stands at the valves, asked once: locator, shims, seals, caps, the engine's state. */
	import type { Quantity } from '@zinc-ledger/core';
	import { getBook } from '$lib/job/book.svelte';
	import { isTyping } from '$lib/keys/keys.svelte';
	import Key from '$lib/ui/Key.svelte';

	interface Props {
		quantity: Quantity;
		answers: InPlaceAnswers;
		/** The round was begun without an answer about the locator. */
		asked: boolean;
		/** Whether the job has a ground retainer, and a lash cap. */
		anyGround: boolean;
		anyCap: boolean;
	}
	let { quantity, answers = $bindable(), asked, anyGround, anyCap }: Props = $props();
	const book = getBook();
	const isGap = $derived(quantity === 'seal-gap' || quantity === 'seal-gap-at-lift');
	const isOverTip = $derived(quantity === 'tip-height' || quantity.startsWith('rocker'));
	const anyShims = $derived(book.job.stations.some((station) => station.shims.length > 0));
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
		if (event.key === '1') answers.locator = 'yes';
		else if (event.key === '0') answers.locator = 'no';
		else return;
		event.preventDefault();
	}
</script>

<svelte:window onkeydown={press} />

<div class="mt-4 border-t-2 border-ink">
	{#if quantity === 'installed-height'}
		<fieldset class="flex min-h-12 flex-wrap items-center gap-x-6 border-b border-hair">
			<legend class="sr-only">Locator under the gauge</legend>
			<span>Locator under the gauge <span class="figure text-soft">{locators}</span></span>
			{#each [['yes', '1'], ['no', '0']] as const as [answer, key] (answer)}
				<label class="flex min-h-11 items-center gap-2">
					<input type="radio" class="size-5" value={answer} bind:group={answers.locator} />
					{answer === 'yes' ? 'Yes' : 'No'}
					<Key>{key}</Key>
				</label>
			{/each}
		</fieldset>
		{#if asked && answers.locator === null}
			<p role="alert" class="py-2 font-semibold text-stop">
				Answer first if the locator is under the gauge: without it every height is too tall by its
				thickness.
			</p>
		{/if}
		{#if answers.locator === 'no'}
			<p class="py-2 font-semibold text-watch">
				Read on the bare pocket: the locator’s thickness will be taken off.
			</p>
		{/if}
		<label class="flex min-h-12 items-center gap-3 border-b border-hair">
			<input type="checkbox" class="size-5" bind:checked={answers.shims} disabled={!anyShims} />
			Shims of the build under the gauge
			<span class="text-soft">{anyShims ? '' : 'none in the build'}</span>
		</label>
	{/if}
	{#if isGap && anyGround}
		<label class="flex min-h-12 items-center gap-3 border-b border-hair">
			<input type="checkbox" class="size-5" bind:checked={answers.isGround} />
			The ground retainer stands there
		</label>
	{/if}
	{#if isOverTip && anyCap}
		<label class="flex min-h-12 items-center gap-3 border-b border-hair">
			<input type="checkbox" class="size-5" bind:checked={answers.lashCap} />
			Lash cap on the tip
		</label>
	{/if}
	{#if isGap}
		<label class="flex min-h-12 items-center gap-3 border-b border-hair">
			<input type="checkbox" class="size-5" bind:checked={answers.sealHome} />
			Every seal fully seated
		</label>
	{/if}
	{#if quantity === 'lash'}
		<fieldset class="flex min-h-12 items-center gap-6 border-b border-hair">
			<legend class="sr-only">Engine</legend>
			{#each ['cold', 'hot'] as const as state (state)}
				<label class="flex min-h-11 items-center gap-2">
					<input type="radio" value={state} bind:group={answers.engine} /> Engine {state}
				</label>
			{/each}
		</fieldset>
		<fieldset class="flex min-h-12 flex-wrap items-center gap-6 border-b border-hair">
			<legend class="sr-only">Found or set</legend>
			<label class="flex min-h-11 items-center gap-2">
				<input type="radio" value="set" bind:group={answers.as} /> As set now
			</label>
			<label class="flex min-h-11 items-center gap-2">
				<input type="radio" value="found" bind:group={answers.as} /> As found, nothing turned
			</label>
			<label class="flex min-h-11 items-center gap-2">
				<input
					type="checkbox"
					class="size-4"
					bind:checked={answers.marked}
					disabled={answers.as === 'found'}
				/>
				Adjusters marked
			</label>
		</fieldset>
	{/if}
</div>
