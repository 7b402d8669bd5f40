<script lang="ts">
	/** How the valve moves on a train that gives: where it parts, bounces, and how fast it lands. */
	import {
		lostFrom,
		showSpeed,
		sweptState,
		TELLS_TO,
		type Controlled,
		type RevolutionsPerMinute
	} from '@zinc-ledger/core';
	import Chart from '$lib/charts/Chart.svelte';
	import { getBook } from '$lib/job/book.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import Progress from '$lib/ui/Progress.svelte';
	import ToggleGroup from '$lib/ui/ToggleGroup.svelte';
	import { sweepChart, type MotionFigure } from './charts';
	import { Sweeper } from './sweeper.svelte';

	interface Props {
		of: Controlled;
		/** Highest engine speed of the job in rpm, and with the headroom wanted. */
		highest: number | null;
		wanted: number | null;
	}
	let { of, highest, wanted }: Props = $props();
	const book = getBook();
	const sweeper = new Sweeper();
	const FIGURES = [
		{ value: 'seating', label: 'seating velocity' },
		{ value: 'bounce', label: 'bounce' }
	] as const;
	let which = $state<MotionFigure>('seating');
	const speed = (rpm: number) => `${showSpeed(rpm as RevolutionsPerMinute)} rpm`;
	const lost = $derived(sweeper.sweep && lostFrom(sweeper.sweep));
	/** Where it parts, from one end of the band to the other. */
	const parting = $derived.by(() => {
		const speeds = Object.values(sweeper.sweep?.separation ?? {}).filter((one) => one !== null);
		if (speeds.length === 0) return 'none of the speeds looked at';
		const [least, most] = [Math.min(...speeds), Math.max(...speeds)];
		return `${speed(least)} to ${speed(most)}`;
	});
	const found = $derived(
		sweeper.sweep && highest !== null && wanted !== null
			? sweptState(sweeper.sweep, highest, wanted)
			: null
	);
</script>

<section aria-label="Motion of {of.station}">
	<h2 class="flex flex-wrap items-center gap-3 border-b-2 border-ink pb-1 font-semibold">
		On a train that gives, <span class="figure">{of.station}</span>
		<span class="ml-auto">
			<ToggleGroup label="What of the motion" options={FIGURES} bind:value={which} />
		</span>
	</h2>
	{#if sweeper.sweep}
		<Chart
			option={sweepChart(sweeper.sweep, which, highest)}
			label="{which === 'seating'
				? 'Seating velocity'
				: 'Bounce'} of {of.station} over engine speed"
		/>
		<p class="mt-1" role="status">
			{#if found}<Mark state={found} word />{/if}
			{#if lost === null}
				Neither parts from the cam nor bounces within what was looked at.
			{:else}
				Off its cam or bouncing from <b class="figure">{speed(lost)}</b> somewhere in the band;
				parts from the cam at {parting}.
			{/if}
		</p>
	{:else}
		<p class="mt-2 text-[13px] text-soft">
			Sixty engine speeds at three stiffnesses. The rigid limit is an upper bound; this says where
			the valve leaves cam or seat before it.
		</p>
	{/if}
	<p class="mt-2 flex flex-wrap items-center gap-3">
		{#if sweeper.done === null}
			<Button onclick={() => sweeper.ask(book.job, of.station)}>
				Calculate motion of {of.station}
			</Button>
		{:else}
			<Button onclick={() => sweeper.cancel()}>Cancel</Button>
			<Progress label="Motion" value={sweeper.done} max={1} class="max-w-60" />
		{/if}
		<span class="text-[13px] text-soft">
			Lines: 70, 100 and 130 % of the stiffness assumed; none beyond {TELLS_TO} × where they part.
		</span>
	</p>
</section>
