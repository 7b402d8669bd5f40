<script lang="ts">
	/** What a figure means: the station's figures, and the worst that is to be said of it. */
	import type { Quantity, StationSheet } from '@zinc-ledger/core';
	import { write } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import { stateInWords } from '$lib/sheet/table/columns';
	import RoundFigures from './RoundFigures.svelte';

	let { station, quantity }: { station: StationSheet; quantity: Quantity } = $props();
	const bench = getBench();
	const worst = $derived(
		station.remarks.find(({ state }) => state !== 'not-measured' && state !== 'clear')
	);
</script>

<RoundFigures {station} {quantity} />
{#if worst}
	<p class="mt-2 flex flex-wrap items-baseline gap-x-3 text-[17px]">
		<span class="text-[42px] leading-none [&_svg]:size-8"><Mark state={worst.state} word /></span>
		<span>{write(worst.text, bench.units)}</span>
	</p>
{:else}
	<p class="mt-2 text-[42px] leading-none">{stateInWords(station)}</p>
{/if}
