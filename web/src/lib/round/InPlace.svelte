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
	import Checkbox from '$lib/ui/Checkbox.svelte';
	import RadioGroup from '$lib/ui/RadioGroup.svelte';
	import Alert from '$lib/ui/Alert.svelte';

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
	const LINE = 'min-h-12 border-b border-hair';
	const KEYS = { yes: '1', no: '0' } as const;
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
		<RadioGroup
			label="Locator under the gauge"
			class="min-h-12 border-b border-hair"
			options={[
				{ value: 'yes', label: 'Yes' },
				{ value: 'no', label: 'No' }
			]}
			bind:value={answers.locator}
		>
			{#snippet lead()}
				<span>Locator under the gauge <span class="figure text-soft">{locators}</span></span>
			{/snippet}
			{#snippet beside({ value })}<Key>{KEYS[value]}</Key>{/snippet}
		</RadioGroup>
		{#if asked && answers.locator === null}
			<Alert class="py-2">
				Answer first if the locator is under the gauge: without it every height is too tall by its
				thickness.
			</Alert>
		{/if}
		{#if answers.locator === 'no'}
			<p class="py-2 font-semibold text-watch">
				Read on the bare pocket: the locator’s thickness will be taken off.
			</p>
		{/if}
		<Checkbox class={LINE} bind:checked={answers.shims} disabled={!anyShims}>
			Shims of the build under the gauge
			<span class="text-soft">{anyShims ? '' : 'none in the build'}</span>
		</Checkbox>
	{/if}
	{#if isGap && anyGround}
		<Checkbox class={LINE} bind:checked={answers.isGround}>
			The ground retainer stands there
		</Checkbox>
	{/if}
	{#if isOverTip && anyCap}
		<Checkbox class={LINE} bind:checked={answers.lashCap}>Lash cap on the tip</Checkbox>
	{/if}
	{#if isGap}
		<Checkbox class={LINE} bind:checked={answers.sealHome}>Every seal fully seated</Checkbox>
	{/if}
	{#if quantity === 'lash'}
		<RadioGroup
			label="Engine"
			class={LINE}
			options={[
				{ value: 'cold', label: 'Engine cold' },
				{ value: 'hot', label: 'Engine hot' }
			]}
			bind:value={answers.engine}
		/>
		<div class="flex flex-wrap items-center gap-x-6 {LINE}">
			<RadioGroup
				label="Found or set"
				options={[
					{ value: 'set', label: 'As set now' },
					{ value: 'found', label: 'As found, nothing turned' }
				]}
				bind:value={answers.as}
			/>
			<Checkbox bind:checked={answers.marked} disabled={answers.as === 'found'}>
				Adjusters marked
			</Checkbox>
		</div>
	{/if}
</div>
