<script lang="ts">
	/** What a figure means: the station's figures, and the worst that is to be said of it. */
	import type { StationSheet } from '@zinc-ledger/core';
	import { write } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import RoundFigures from './RoundFigures.svelte';

	let { station }: { station: StationSheet } = $props();
	const bench = getBench();
	const worst = $derived(station.remarks[0]);
</script>

<RoundFigures {station} />
{#if worst}
	<p class="mt-3 text-[17px]">
		<Mark state={worst.state} word />
		{write(worst.text, bench.units)}
	</p>
{/if}
