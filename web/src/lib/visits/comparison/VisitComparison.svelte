<script lang="ts">
	/** Every station as it was signed and as it came back. */
	import { isBeyond, newtons, type StationComparison } from '@zinc-ledger/core';
	import { label } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import Table from '$lib/ui/Table.svelte';
	import { capital } from '$lib/ui/words';
	import {
		changeText,
		explanationText,
		figureText,
		FITS_NONE,
		partsText,
		shownTraces
	} from './comparison';

	let { stations }: { stations: readonly StationComparison[] } = $props();
	const bench = getBench();
	const traces = $derived(shownTraces(stations));
	const hasLosses = $derived(stations.some(({ losses }) => losses));
	const unit = (trace: string) => (trace === 'load' ? bench.units.load : bench.units.length);
</script>

<div class="overflow-x-auto">
	<Table aria-label="Changes since last visit" class="w-full text-left text-[14px]">
		<thead>
			<tr>
				<th>Valve</th>
				{#each traces as trace (trace)}
					<th class="text-right">
						{capital(label('trace', trace))} <span class="figure block">{unit(trace)}</span>
					</th>
				{/each}
				{#if hasLosses}
					<th class="text-right">
						Lost to height,<br />to sag <span class="figure block">{bench.units.load}</span>
					</th>
				{/if}
				<th class="pl-5">What it looks like</th>
			</tr>
		</thead>
		<tbody>
			{#each stations as { station, moved, losses, happened } (station)}
				<tr class="align-top" data-beside={station}>
					<th scope="row" class="figure py-1 text-left font-semibold">{station}</th>
					{#each traces as trace (trace)}
						{@const beside = moved[trace]}
						<td class="py-1 text-right">
							{#if beside}
								{@const isNews = isBeyond(beside.change)}
								<span class="figure {isNews ? 'font-semibold' : 'text-faint'}">
									{changeText(trace, beside.change, bench)}
								</span>
								<span class="figure block text-xs whitespace-nowrap text-soft">
									{figureText(trace, beside.then.value, bench)} → {figureText(
										trace,
										beside.now.value,
										bench
									)}{beside.isAnotherGauge ? ' *' : ''}
								</span>
							{:else}
								<span class="figure">·</span>
							{/if}
						</td>
					{/each}
					{#if hasLosses}
						<td class="figure py-1 text-right">
							{losses
								? `${bench.load(newtons(losses.toHeight.by))}, ${bench.load(newtons(losses.toSag.by))}`
								: '·'}
						</td>
					{/if}
					<td class="py-1 pl-5 text-[13px]">
						{#if !happened}
							nothing to compare
						{:else if happened.fitsNone}
							{FITS_NONE}
						{:else}
							{#each happened.explanations as one, i (i)}
								<span class="block">
									{i > 0 ? 'or ' : ''}{one.happened.length > 0
										? explanationText(one, bench)
										: 'as it was'}
								</span>
							{/each}
							{#if happened.parts}
								<span class="block text-soft">{partsText(happened.parts)}</span>
							{/if}
						{/if}
					</td>
				</tr>
			{/each}
		</tbody>
	</Table>
</div>
