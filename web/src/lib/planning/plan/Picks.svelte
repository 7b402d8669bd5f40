<script lang="ts">
	/** What a plan takes off the shelf, in one line. */
	import { keyOf, type PartPick } from '@zinc-ledger/core';
	import { write } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import { capital } from '$lib/ui/words';

	let { picks }: { picks: readonly PartPick[] } = $props();
	const bench = getBench();
	const placed = $derived(picks.filter(({ type }) => type === 'spring').length);
	const shelved = ({ short, shelf }: PartPick) =>
		short > 0 ? `, ${short} short` : shelf === null ? ', not counted' : '';
</script>

{#if placed > 0}<span class="mr-3">{placed} springs moved</span>{/if}
{#each picks.filter(({ type }) => type !== 'spring') as pick (keyOf(pick.part))}
	<span class="mr-3 whitespace-nowrap {pick.short > 0 ? 'font-semibold text-watch' : ''}">
		{capital(write(pick.part, bench.units))} × {pick.wanted}{shelved(pick)}
	</span>
{/each}
