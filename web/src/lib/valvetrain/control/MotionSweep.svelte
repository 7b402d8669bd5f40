<script lang="ts">
	/** How the valve moves on a train that gives: where it parts, bounces, and how fast it lands. */
	import {
		motionFound,
		motionState,
		motionWithin,
		showSpeed,
		TELLS_TO,
		type Controlled,
		type ControlSweep,
		type RevolutionsPerMinute
	} from '@zinc-ledger/core';
	import Chart from '$lib/charts/Chart.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import ToggleGroup from '$lib/ui/ToggleGroup.svelte';
	import { sweepChart, type MotionFigure } from './charts';

	interface Props {
		of: Controlled;
		/** Highest engine speed of the job in rpm, and with the headroom wanted. */
		highest: number | null;
		wanted: number | null;
		/** The last sweep, with the valve it is of. */
		shown: { readonly station: string; readonly sweep: ControlSweep } | null;
	}
	let { of, highest, wanted, shown }: Props = $props();
	const FIGURES = [
		{ value: 'seating', label: 'seating velocity' },
		{ value: 'bounce', label: 'bounce' }
	] as const;
	let which = $state<MotionFigure>('seating');
	const speed = (rpm: number) => `${showSpeed(rpm as RevolutionsPerMinute)} rpm`;
	const sweep = $derived(shown?.station === of.station ? shown.sweep : null);
	const came = $derived(sweep && motionFound(sweep));
	/** Where it parts, from one end of the band to the other. */
	const parting = $derived.by(() => {
		const speeds = Object.values(sweep?.separation ?? {}).filter((one) => one !== null);
		if (speeds.length === 0) return 'none of the speeds looked at';
		const [min, max] = [Math.min(...speeds), Math.max(...speeds)];
		return `${speed(min)} to ${speed(max)}`;
	});
	const found = $derived(
		came && highest !== null && wanted !== null
			? motionState(motionWithin(came, of.spread), highest, wanted)
			: null
	);
</script>

<section aria-label="Motion of {of.station}">
	<h2 class="flex flex-wrap items-center gap-3 border-b-2 border-ink pb-1 font-semibold">
		On a flexing valvetrain, <span class="figure">{of.station}</span>
		<span class="ml-auto">
			<ToggleGroup label="What of the motion" options={FIGURES} bind:value={which} />
		</span>
	</h2>
	{#if sweep}
		<Chart
			option={sweepChart(sweep, which, highest)}
			label="{which === 'seating'
				? 'Seating velocity'
				: 'Bounce'} of {of.station} over engine speed"
		/>
		<p class="mt-1" role="status">
			{#if found}<Mark state={found} word />{/if}
			{#if came?.lost == null}
				Neither parts from the cam nor bounces within what was looked at.
			{:else}
				Off its cam or bouncing from <b class="figure">{speed(came.lost)}</b> on a soft train,
				{#if came.surely === null}never{:else}<b class="figure">{speed(came.surely)}</b>{/if} on a stiff
				one; parts from the cam at {parting}.
			{/if}
		</p>
		<p class="text-[13px] text-soft">
			Lines: low, middle and high end of the stiffness; none beyond {TELLS_TO} × the speed of separation.
		</p>
	{:else}
		<p class="mt-2 text-[13px] text-soft">
			Calculate this valve to see its seating velocity and bounce over engine speed.
		</p>
	{/if}
</section>
