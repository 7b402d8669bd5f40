<script lang="ts">
	/** A lobe that a table came to: its curves, what the table leaves open, and what its card says. */
	import {
		checkTable,
		DURATION_AGREES,
		oddDuration,
		lengthOf,
		LIFT_AGREES,
		message,
		mm,
		MM_PER,
		tableFaults,
		tableGaps,
		type Cam,
		type Kind,
		wrongFigures,
		type TableFault,
		type TableLine
	} from '@zinc-ledger/core';
	import { write } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import Chart from '$lib/charts/Chart.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import { durationsOf } from './card';
	import { lobeChart } from './lobe-chart';

	let { lines, card }: { lines: readonly TableLine[]; card: Cam[Kind] } = $props();
	const bench = getBench();
	const faults = $derived(tableFaults(lines));
	const checked = $derived(faults.length > 0 ? null : checkTable(lines, durationsOf(card)));
	/** Where in the table a fault lies. */
	function placeOf(fault: TableFault): string {
		if (fault === 'lines-missing')
			return tableGaps(lines)
				.map(([from, to]) => `: between ${from}° and ${to}° of the cam`)
				.join(', ');
		if (fault === 'wrong-figure')
			return `: ${wrongFigures(lines)
				.map(({ degree, lift }) => `${bench.length(mm(lift))} at ${degree}° of the cam`)
				.join(', ')}`;
		return '';
	}
	const lift = $derived(lengthOf(card.lobe));
	const fine = (length: number) =>
		String(Number((length / MM_PER[bench.units.length]).toPrecision(2)));
	const differs = $derived(checked && Math.abs(checked.lobe.peak / lift - 1) > LIFT_AGREES);
</script>

{#each faults as fault (fault)}
	<p class="mt-2">
		<Mark state="stop" word />
		{write(message('lobe.fault', { fault }), bench.units)}{placeOf(fault)}.
	</p>
{/each}
{#if checked}
	{@const { lobe, rounding, durations } = checked}
	<Chart
		tall
		option={lobeChart(lobe, lines, bench.units.length)}
		label="Lift, velocity, acceleration and jerk of the lobe"
	/>
	<ul class="mt-2 max-w-3xl space-y-1 text-[13px]">
		{#if oddDuration(lobe, card.confirmedDuration) !== null}
			<li>
				<Mark state="watch" word />
				{write(message('lobe.fault', { fault: 'odd-duration' }), bench.units)}.
			</li>
		{/if}
		{#if lobe.isTooCoarse}
			<li>
				<Mark state="watch" word />
				{write(message('lobe.fault', { fault: 'too-coarse' }), bench.units)}
			</li>
		{/if}
		<li>
			{lines.length} lines, rounded to <span class="figure">{fine(rounding)}</span>
			{bench.units.length}, scattering by <span class="figure">{fine(lobe.scatter)}</span>; they lie
			<span class="figure">{fine(lobe.residual)}</span> off the curve on average.
		</li>
		<li>
			{#if differs}<Mark state="watch" word />{/if}
			Lobe lift <span class="figure">{bench.length(lobe.peak)}</span>, its card
			<span class="figure">{bench.length(lift)}</span>.
		</li>
		{#each durations as one (one.lift)}
			<li>
				{#if Math.abs(one.ofTable - one.degrees) > DURATION_AGREES}<Mark state="watch" word />{/if}
				Duration at <span class="figure">{bench.length(one.lift)}</span>:
				<span class="figure">{one.ofTable.toFixed(1)}°</span>, its card
				<span class="figure">{one.degrees}°</span>.
			</li>
		{/each}
	</ul>
{/if}
