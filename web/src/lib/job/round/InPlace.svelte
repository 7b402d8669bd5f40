<script module lang="ts">
	import type { EngineState, Quantity, RoundParts } from '@zinc-ledger/core';

	/** What stands at the valves while they are measured. */
	export interface InPlaceAnswers extends Omit<RoundParts, 'locator' | 'sealHome' | 'recess'> {
		/** Never answered for anybody: a locator left out is the classic mistake. */
		locator: 'yes' | 'no' | null;
		/** Nor is this: a seal that is not fully seated takes from the gap. */
		sealHome: 'yes' | 'no' | null;
		shims: boolean;
		isGround: boolean;
		lashCap: boolean;
		engine: EngineState;
		as: 'found' | 'set';
		marked: boolean;
	}

	/** The question that a round of this quantity does not begin without. */
	const questionOf = (quantity: Quantity): 'locator' | 'sealHome' | null =>
		quantity === 'installed-height'
			? 'locator'
			: quantity === 'seal-gap' || quantity === 'seal-gap-at-lift'
				? 'sealHome'
				: null;

	/** Whether that question is still to be answered. */
	export function isUnanswered(quantity: Quantity, answers: InPlaceAnswers): boolean {
		const question = questionOf(quantity);
		return question !== null && answers[question] === null;
	}
</script>

<script lang="ts">
	/** What stands at the valves, asked once: locator, shims, seals, caps, the engine's state. */
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import { isTyping } from '$lib/keys/keys.svelte';
	import Key from '$lib/ui/Key.svelte';
	import Checkbox from '$lib/ui/Checkbox.svelte';
	import RadioGroup from '$lib/ui/RadioGroup.svelte';
	import Alert from '$lib/ui/Alert.svelte';

	interface Props {
		quantity: Quantity;
		answers: InPlaceAnswers;
		/** The round was begun without an answer to its question. */
		asked: boolean;
		/** Whether the job has a ground retainer, and a lash cap. */
		anyGround: boolean;
		anyCap: boolean;
	}
	let { quantity, answers = $bindable(), asked, anyGround, anyCap }: Props = $props();
	const store = getJobStore();
	const LINE = 'min-h-12 border-b border-hair';
	const KEYS = { yes: '1', no: '0' } as const;
	const question = $derived(questionOf(quantity));
	const isGap = $derived(question === 'sealHome');
	const isOverTip = $derived(quantity === 'tip-height' || quantity.startsWith('rocker'));
	const anyShims = $derived(store.job.stations.some((station) => station.shims.length > 0));
	const locators = $derived(
		[
			...new Set(
				Object.values(store.job.setup.kinds).map((kind) => kind.locator?.thickness ?? 'none given')
			)
		].join(' / ')
	);

	/** The keypad alone answers, where no field takes what is typed. */
	function press(event: KeyboardEvent) {
		if (question === null || isTyping(event)) return;
		if (event.key === '1') answers[question] = 'yes';
		else if (event.key === '0') answers[question] = 'no';
		else return;
		event.preventDefault();
	}
</script>

<svelte:window onkeydown={press} />

{#snippet yesOrNo(about: 'locator' | 'sealHome', label: string, of: string)}
	<RadioGroup
		{label}
		class="min-h-12 border-b border-hair"
		options={[
			{ value: 'yes', label: 'Yes' },
			{ value: 'no', label: 'No' }
		]}
		bind:value={answers[about]}
	>
		{#snippet lead()}
			<span>{label} <span class="figure text-soft">{of}</span></span>
		{/snippet}
		{#snippet beside({ value })}<Key>{KEYS[value]}</Key>{/snippet}
	</RadioGroup>
{/snippet}

<div class="mt-4 border-t-2 border-ink">
	{#if quantity === 'installed-height'}
		{@render yesOrNo('locator', 'Locator under the gauge', locators)}
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
		{@render yesOrNo('sealHome', 'Every seal fully seated', '')}
		{#if asked && answers.sealHome === null}
			<Alert class="py-2">
				Is every seal fully seated? Answer first: a seal that is not makes its gap read too small.
			</Alert>
		{/if}
		{#if answers.sealHome === 'no'}
			<p class="py-2 font-semibold text-watch">
				Every gap of this round will be flagged. Seat the seals and measure again.
			</p>
		{/if}
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
