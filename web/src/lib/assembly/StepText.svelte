<script lang="ts">
	/** What is to be done now, where, and what to take care of. */
	import type { Step } from '@zinc-ledger/core';
	import { write } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import { capital } from '$lib/ui/words';

	interface Props {
		step: Step;
		/** At a station, whose name is set as a figure. */
		atStation: boolean;
	}
	let { step, atStation }: Props = $props();
	const bench = getBench();
</script>

<div class="mt-2 flex flex-wrap items-end gap-x-8">
	<p class="leading-none font-semibold {atStation ? 'figure text-[72px]' : 'pb-2 text-[40px]'}">
		{capital(step.place)}
	</p>
	<p class="max-w-xl pb-1.5 text-[24px] leading-snug font-semibold" data-step={step.step}>
		{write(step.text, bench.units)}
	</p>
</div>
{#if step.caution}
	<p class="caution mt-4">
		{#if step.energy}
			<b class="figure">{step.energy.toFixed(0)} J</b> in this spring at full lift.
		{/if}
		{write(step.caution, bench.units)}
	</p>
{/if}
