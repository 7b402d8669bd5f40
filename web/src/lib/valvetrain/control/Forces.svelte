<script lang="ts">
	/** Spring force beside force needed at a chosen speed; the room between them is what one looks at. */
	import {
		forcesOver,
		minMargin,
		showSpeed,
		type Controlled,
		type RevolutionsPerMinute
	} from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import Chart from '$lib/charts/Chart.svelte';
	import ToggleGroup from '$lib/ui/ToggleGroup.svelte';
	import SpeedSlider from './SpeedSlider.svelte';
	import { forcesChart, type Over } from './charts';

	interface Props {
		of: Controlled;
		/** Highest engine speed of the job in rpm; null where nobody said. */
		highest: number | null;
	}
	let { of, highest }: Props = $props();
	const bench = getBench();
	const OVER = [
		{ value: 'lift', label: 'over lift' },
		{ value: 'angle', label: 'over angle' }
	] as const;
	let over = $state<Over>('lift');
	let moved = $state<number | null>(null);
	const speed = $derived(moved ?? highest ?? Math.round(of.limit.speed));
	const forces = $derived(forcesOver(of.train, speed));
	const min = $derived(minMargin(forces));
	const text = $derived(`${showSpeed(speed as RevolutionsPerMinute)} rpm`);
</script>

<section aria-label="Forces of {of.station}">
	<h2 class="flex flex-wrap items-center gap-3 border-b-2 border-ink pb-1 font-semibold">
		Spring force and force needed, <span class="figure">{of.station}</span>
		<span class="ml-auto"><ToggleGroup label="Over what" options={OVER} bind:value={over} /></span>
	</h2>
	<Chart
		option={forcesChart(forces, over, bench.units)}
		label="Spring force and force needed of {of.station} at {text}"
	/>
	<SpeedSlider label="Engine speed" {of} bind:speed={() => speed, (to) => (moved = to)} />
	{#if min}
		<p class="text-[13px]" aria-live="polite">
			Least margin <b class="figure">{bench.load(min.margin)}</b>
			{bench.units.load} at {min.degree.toFixed(0).replace('-', '−')}° of the cam from the nose,
			lift
			<span class="figure">{bench.length(min.lift)}</span>.
		</p>
	{/if}
</section>
