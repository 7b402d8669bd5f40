<script lang="ts">
	/** Which card a spring in the hand is by its figures, nearest first: card and spring, and by how much they differ. */
	import type { Match } from '@zinc-ledger/core';
	import { label } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import { evidenceText } from './evidence';

	let { matches }: { matches: readonly Match[] } = $props();
	const bench = getBench();
</script>

<h3 class="mt-4 border-b border-ink pb-1 font-semibold">Identify the spring</h3>
{#each matches as match (match.card.id)}
	<div class="border-b border-hair py-1.5">
		<p class="flex gap-2">
			<b>{match.card.name}</b>
			<span class="ml-auto">{label('match', match.fits)}</span>
		</p>
		{#each match.evidence as one (one.what)}
			<p class="flex flex-wrap justify-end gap-x-2 {Math.abs(one.off) > 1 ? '' : 'text-soft'}">
				<span class="mr-auto">{label('evidence', one.what)}</span>
				{#if Math.abs(one.off) > 1}<Mark state="watch" />{/if}
				<span class="figure">{evidenceText(one, bench)}</span>
			</p>
		{/each}
	</div>
{:else}
	<p class="py-1 text-soft">Test it first.</p>
{/each}
