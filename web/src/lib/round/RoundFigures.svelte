<script lang="ts">
	/** What the figure just typed comes to. */
	import { scaleOf, type StationSheet } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { columnsFor, showFigure, verdictIn } from '$lib/sheet/columns';
	import Mark from '$lib/ui/Mark.svelte';
	import ScaleBar from '$lib/ui/ScaleBar.svelte';
	import { stateClass } from '$lib/ui/state';

	let { station }: { station: StationSheet } = $props();
	const bench = getBench();
	const columns = $derived(columnsFor([station]));
</script>

<dl class="flex flex-wrap gap-x-8 gap-y-3">
	{#each columns as column (column.key)}
		{@const verdict = verdictIn(station, column.key)}
		{@const text = showFigure(verdict, column, bench.units)}
		{#if verdict && text !== null}
			<div class="w-32">
				<dt class="text-[13px] text-soft">{column.title}</dt>
				<dd class="figure text-3xl {stateClass(verdict.state)}">
					{text}
					<Mark state={verdict.state} />
				</dd>
				<dd>
					{#if verdict.figure !== null}
						<ScaleBar
							scale={scaleOf(verdict.figure, verdict.limits)}
							state={verdict.state}
							class=""
						/>
					{/if}
				</dd>
			</div>
		{/if}
	{/each}
</dl>
