<script lang="ts">
	/** The limit along the head, where the lobe feeds the coils, and what another height or lift would do. */
	import {
		fedOrders,
		limitMap,
		LOW_ORDER,
		strongestBelow,
		surgeOrder,
		showSpeed,
		type Controlled,
		type RevolutionsPerMinute,
		type Sheet
	} from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import Chart from '$lib/charts/Chart.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import ToggleGroup from '$lib/ui/ToggleGroup.svelte';
	import { alongChart, limitMapChart, surgeChart, type Speeds } from './maps';

	interface Props {
		of: Controlled;
		controlled: readonly Controlled[];
		sheet: Sheet;
		speeds: Speeds;
	}
	let { of, controlled, sheet, speeds }: Props = $props();
	const bench = getBench();
	const MAPS = [
		{ value: 'along', label: 'along the head' },
		{ value: 'coils', label: 'coils' },
		{ value: 'height', label: 'height and lift' }
	] as const;
	const COILS = { outer: 'Outer coil', inner: 'Inner coil', third: 'Third coil' } as const;
	let map = $state<(typeof MAPS)[number]['value']>('along');
	const orders = $derived(fedOrders(of));
	/** Speeds that are looked at: past the limit by a little. */
	const max = $derived(Math.ceil((of.limit.speed * 1.1) / 500) * 500);
	const near = $derived(speeds.highest ?? of.limit.speed);
	const worst = $derived(strongestBelow(orders, near));
	const rpm = (speed: number) => `${showSpeed(speed as RevolutionsPerMinute)} rpm`;
</script>

<section aria-label="Maps of {of.station}">
	<h2 class="flex flex-wrap items-center gap-3 border-b-2 border-ink pb-1 font-semibold">
		Where else it lies
		<span class="ml-auto"><ToggleGroup label="Which map" options={MAPS} bind:value={map} /></span>
	</h2>
	{#key map}
		{#if map === 'along'}
			<Chart
				option={alongChart(controlled, sheet, speeds)}
				label="Control limit of every valve along the head"
			/>
			<p class="text-[13px] text-soft">Rigid limit with its band; a real train parts sooner.</p>
		{:else if map === 'height'}
			<Chart
				option={limitMapChart(limitMap(of), speeds, bench.units)}
				label="Control limit of {of.station} by installed height and lift"
			/>
			<p class="text-[13px] text-soft">
				Rigid limit of <span class="figure">{of.station}</span> in hundreds of rpm; it stands in the middle.
				Red below the highest speed, yellow below the headroom wanted.
			</p>
		{:else if of.surge}
			{@const order = surgeOrder(of.surge.frequency, near)}
			<Chart
				option={surgeChart(of.surge.frequency, orders, max, speeds)}
				label="Coils of {of.station} and the orders that feed them"
			/>
			<p class="text-[13px]">
				{#if order < LOW_ORDER}<Mark state="watch" word />{/if}
				Coils swing at <span class="figure">{Math.round(of.surge.frequency)} Hz</span>, order
				<b class="figure">{order.toFixed(1)}</b> at {rpm(near)}. A line an order of the cam, as
				thick as the lobe feeds it{worst
					? `; below that speed order ${worst.order} feeds most, at ${rpm(worst.speed)}`
					: ''}.
			</p>
			{#each of.coilModes as { coil, frequency } (coil)}
				{@const own = surgeOrder(frequency, near)}
				<p class="text-[13px]">
					{#if own < LOW_ORDER}<Mark state="watch" word />{/if}
					{COILS[coil]} by itself, from its size:
					<span class="figure">{Math.round(frequency)} Hz</span>, order
					<b class="figure">{own.toFixed(1)}</b>.
				</p>
			{/each}
		{:else}
			<p class="py-10 text-soft">The spring’s mass or rate is not known.</p>
		{/if}
	{/key}
</section>
