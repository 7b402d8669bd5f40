<script lang="ts">
	/** One quick sum: its fields, what comes out, and the line it was worked out by. */
	import type { Calculator, Units } from '@zinc-ledger/core';
	import { label, tell } from '@zinc-ledger/words';
	import TextField from '$lib/ui/TextField.svelte';
	import { capital } from '$lib/ui/words';
	import { figureText, inEveryUnit, lineOf, placeOf, workingText, type Typed } from './line';

	interface Props {
		calculator: Calculator;
		typed: Typed;
		units: Units;
		ontype: (place: string, text: string) => void;
		/** A figure is whole: its field is left. */
		onleave: () => void;
	}
	let { calculator, typed, units, ontype, onleave }: Props = $props();
	const line = $derived(lineOf(calculator, typed, units));
	const converts = $derived(calculator.code === 'length' || calculator.code === 'load');
</script>

<section
	class="border-b border-rule py-3"
	id={calculator.code}
	aria-label={label('calculator', calculator.code)}
	data-sum={calculator.code}
>
	<h2 class="font-semibold">{capital(label('calculator', calculator.code))}</h2>
	<div class="mt-1 grid grid-cols-2 gap-x-3 gap-y-2 tablet:grid-cols-4">
		{#each calculator.fields as { key, usual } (key)}
			<TextField
				label={label('calculatorField', key)}
				figure
				inputmode="text"
				maxlength={24}
				problem={line.problems[key]}
				onchange={onleave}
				bind:value={
					() => typed[placeOf(calculator, key)] ?? usual ?? '',
					(text) => ontype(placeOf(calculator, key), text)
				}
			/>
		{/each}
	</div>
	<div class="mt-1.5 min-h-9" aria-live="polite" data-result>
		{#if line.why}
			<p class="font-semibold text-watch">{tell(line.why)}</p>
		{/if}
		{#each line.results ?? [] as result (result.key)}
			<p class="flex flex-wrap items-baseline gap-x-3">
				{#if converts}
					<b class="figure text-xl font-semibold">{inEveryUnit(result).join(' = ')}</b>
				{:else}
					<span class="w-32 text-[13px] text-soft">{label('calculatorResult', result.key)}</span>
					<b class="figure text-xl font-semibold">
						{figureText(result.value, result.dimension, units)}
					</b>
					<span class="figure text-[13px] text-soft">{workingText(result, units)}</span>
				{/if}
			</p>
		{/each}
	</div>
</section>
