<script lang="ts">
	/** What the figure just typed comes to. */
	import {
		INSPECTED_FIGURE,
		isInspected,
		scaleOf,
		type Quantity,
		type StationSheet
	} from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { columnOf, columnsFor, showFigure, verdictIn } from '$lib/sheet/table/columns';
	import Mark from '$lib/ui/Mark.svelte';
	import ScaleBar from '$lib/ui/ScaleBar.svelte';
	import { stateClass } from '$lib/ui/state';

	let { station, quantity }: { station: StationSheet; quantity: Quantity } = $props();
	const bench = getBench();
	const columns = $derived(
		isInspected(quantity) ? [columnOf(INSPECTED_FIGURE[quantity])] : columnsFor([station])
	);
</script>

<dl class="grid grid-cols-2 gap-x-4 gap-y-2 tablet:flex tablet:flex-wrap tablet:gap-x-7">
	{#each columns as column (column.key)}
		{@const verdict = verdictIn(station, column.key)}
		{@const text = showFigure(verdict, column, bench.units)}
		{#if verdict && text !== null}
			<div class="tablet:w-36">
				<dt class="flex items-baseline gap-1 text-[13px] text-soft">
					{column.title}
					<Mark state={verdict.state} />
				</dt>
				<dd class="figure text-[28px] leading-tight tablet:text-[40px] {stateClass(verdict.state)}">
					{text}
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
