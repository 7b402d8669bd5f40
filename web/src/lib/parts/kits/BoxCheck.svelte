<script lang="ts">
	/** What the box of a kit holds, against what the head being described needs. */
	import { boxAgainst, shortInBox, type Job, type Kit } from '@zinc-ledger/core';
	import { label } from '@zinc-ledger/words';
	import Mark from '$lib/ui/Mark.svelte';

	let { kit, stations }: { kit: Kit; stations: Job['stations'] } = $props();
	const of = (kind: string) => stations.filter((one) => one.kind === kind).length;
	const lines = $derived(boxAgainst(kit, { intake: of('intake'), exhaust: of('exhaust') }));
	const counted = $derived(lines.filter(({ holds }) => holds !== null));
	const short = $derived(shortInBox(lines));
</script>

{#if short.length > 0}
	<p class="mt-2 text-[13px]" role="status">
		<Mark state="watch" word /> The box is short:
		{#each short as { place, holds, needs }, i (place)}
			{i > 0 ? '; ' : ''}{label('slot', place)}
			<b class="figure">{holds}</b> of <b class="figure">{needs}</b>{/each}.
	</p>
{:else if counted.length > 0}
	<p class="mt-2 text-[13px] text-soft" role="status">
		The box holds what this head needs, of all that was counted.
	</p>
{/if}
