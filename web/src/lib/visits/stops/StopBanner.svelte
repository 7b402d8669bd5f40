<script lang="ts">
	/** Reasons not to run or crank the engine, at the top of every page of the head. */
	import { stopMessage, type Stop } from '@zinc-ledger/core';
	import { tell } from '@zinc-ledger/words';
	import Mark from '$lib/ui/Mark.svelte';

	let { stops }: { stops: readonly Stop[] } = $props();
</script>

{#if stops.length > 0}
	<section
		aria-label="Do not run or crank this engine"
		class="border-b-2 border-stop bg-panel px-4 py-1.5 text-[14px] bench:px-6"
	>
		<h2 class="inline-flex items-baseline gap-1.5 font-semibold text-stop">
			<Mark state="stop" /> Do not run or crank this engine
		</h2>
		<ul class="inline">
			{#each stops as stop (stop.code)}
				<li class="mt-0.5" data-stop={stop.code}>
					{#if stop.stations.length > 0}
						<span class="figure font-semibold">{stop.stations.join(' ')}</span>
					{/if}
					{tell(stopMessage(stop))}
				</li>
			{/each}
		</ul>
	</section>
{/if}
