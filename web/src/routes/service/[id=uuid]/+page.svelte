<script lang="ts">
	/** The load of a set at its nominal height over its service: what settled, the line after that, and when it reaches its limit. */
	import { lengthOf, newtons, trendOfSet, type ServiceLimit } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import Chart from '$lib/charts/Chart.svelte';
	import { useKeys } from '$lib/keys/keys.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Table from '$lib/ui/Table.svelte';
	import { byPercent } from '$lib/ui/words';
	import { priceOfLife, ranText } from '$lib/visits/comparison/service';
	import { trendChart, trendLines, trendUnit } from '$lib/visits/comparison/trend';

	let { data } = $props();
	const bench = getBench();
	const NO_LIMIT: ServiceLimit & { duty: string | null } = { duty: null };
	const price = $derived(data.set.card?.price);
	useKeys([]);
	const trend = $derived(trendOfSet(data.points, data.set.limits.sagStop));
	/** By its own line, where it reaches its limit. */
	const lasts = $derived(trend?.reaches ? { unit: trend.unit, life: trend.reaches.at } : null);
	const springs = $derived(Math.max(0, ...data.points.map((point) => point.springs)));
	const first = $derived(data.points[0]?.load ?? null);
</script>

<svelte:head><title>{data.set.name} over its service · Zinc Ledger</title></svelte:head>

<main id="main" class="flex-1 overflow-auto bg-paper px-4 py-4 bench:px-8 bench:py-6">
	<div class="flex flex-wrap items-center gap-3 border-b-2 border-ink pb-2">
		<h1 class="text-2xl font-semibold">{data.set.name}</h1>
		<span class="text-soft">
			load at <span class="figure"
				>{bench.length(lengthOf(data.set.seat))} {bench.units.length}</span
			> over its service
		</span>
		<a class="ml-auto underline" href="/service/{data.set.id}/file" download>CSV</a>
		<Button href="/springs/{data.set.id}">The set</Button>
	</div>
	{#if trend}
		<ul class="mt-3 max-w-3xl">
			{#each trendLines(trend, bench) as line (line)}<li>{line}</li>{/each}
			{#if price !== undefined}
				{#each data.limits.length > 0 ? data.limits : [NO_LIMIT] as limit (limit.duty)}
					<li>{priceOfLife(price, springs, limit, lasts)}{limit.duty ? `, ${limit.duty}` : ''}.</li>
				{/each}
			{/if}
		</ul>
		<div class="mt-3 max-w-4xl">
			<Chart
				option={trendChart(trend, bench.units)}
				label="Weakest spring of the set over {trendUnit(trend)}, with the line and its band"
			/>
		</div>
	{/if}
	<div class="overflow-x-auto">
		<Table class="mt-3 text-left text-[14px]">
			<thead>
				<tr>
					<th>Visit</th><th>Springs</th><th class="text-right">Had run</th>
					<th class="text-right">Mean load, {bench.units.load}</th><th class="text-right"
						>of the first</th
					>
				</tr>
			</thead>
			<tbody>
				{#each data.points as point (point.visit)}
					<tr>
						<th scope="row" class="figure">{point.visit}</th>
						<td class="figure">{point.springs}</td>
						<td class="figure text-right">
							{point.visit === 1 ? 'new' : ranText({ ...point, over_speed: 0 })}
						</td>
						<td class="figure text-right">{bench.load(newtons(point.load))}</td>
						<td class="figure text-right">{first ? byPercent(point.load / first - 1) : ''}</td>
					</tr>
				{:else}
					<tr><td colspan="5" class="text-soft">No spring of it was tested.</td></tr>
				{/each}
			</tbody>
		</Table>
	</div>
</main>
