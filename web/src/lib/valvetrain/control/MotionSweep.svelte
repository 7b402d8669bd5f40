<script lang="ts">
	/** How the valve moves on a train that gives: where it parts, bounces, and how fast it lands. */
	import { v7 as uuid } from 'uuid';
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
	import { getBench } from '$lib/bench/bench.svelte';
	import Chart from '$lib/charts/Chart.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Checkbox from '$lib/ui/Checkbox.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import Progress from '$lib/ui/Progress.svelte';
	import ToggleGroup from '$lib/ui/ToggleGroup.svelte';
	import { sweepChart, type MotionFigure } from './charts';
	import { WORKER_FAILED } from '$lib/worker/worker-client';
	import { Sweeper } from './sweeper.svelte';

	interface Props {
		of: Controlled;
		/** Every valve that could be asked for. */
		all: readonly Controlled[];
		/** Highest engine speed of the job in rpm, and with the headroom wanted. */
		highest: number | null;
		wanted: number | null;
		/** The last sweep, with the valve it is of. */
		shown: { readonly station: string; readonly sweep: ControlSweep } | null;
	}
	let { of, all, highest, wanted, shown = $bindable() }: Props = $props();
	const store = getJobStore();
	const bench = getBench();
	const sweeper = new Sweeper();
	const FIGURES = [
		{ value: 'seating', label: 'seating velocity' },
		{ value: 'bounce', label: 'bounce' }
	] as const;
	let which = $state<MotionFigure>('seating');
	const speed = (rpm: number) => `${showSpeed(rpm as RevolutionsPerMinute)} rpm`;
	let problem = $state<string | null>(null);
	let swings = $state(true);
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

	/** Calculates, and keeps what it comes to with the job: only that can clear a limit. */
	async function calculate(stations: readonly string[]) {
		problem = null;
		const swept = await sweeper.ask({ job: store.job, stations, shown: of.station, swings });
		if (!swept) return;
		shown = swept.shown;
		// Coils that are taken to stand still flatter a train: that clears nothing.
		if (swept.motions.length === 0 || !swings) return;
		const entry = {
			id: uuid(),
			at: new Date().toISOString(),
			stations: swept.motions.map((motion) => ({ ...motion, basis: [...motion.basis] }))
		};
		problem = await store.append('motions', bench.person, entry);
	}
</script>

<section aria-label="Motion of {of.station}">
	<h2 class="flex flex-wrap items-center gap-3 border-b-2 border-ink pb-1 font-semibold">
		On a train that gives, <span class="figure">{of.station}</span>
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
	{:else}
		<p class="mt-2 text-[13px] text-soft">
			Sixty engine speeds at three stiffnesses. The rigid limit is an upper bound; this says where
			the valve leaves cam or seat before it, and is kept with the job: only this can clear a limit.
		</p>
	{/if}
	<Alert problem={sweeper.failed ? WORKER_FAILED : problem} class="mt-2" />
	<div class="mt-2 flex flex-wrap items-center gap-3">
		{#if sweeper.done === null}
			<Button onclick={() => calculate([of.station])}>Calculate motion of {of.station}</Button>
			<Button onclick={() => calculate(all.map(({ station }) => station))}>
				Calculate all {all.length}
			</Button>
		{:else}
			<Button onclick={() => sweeper.cancel()}>Cancel</Button>
			<Progress label="Motion" value={sweeper.done} max={1} class="max-w-60" />
		{/if}
		<Checkbox bind:checked={swings}>coils swing</Checkbox>
		<span class="text-[13px] text-soft">
			{swings ? '' : 'Without the coils’ own swinging: looked at, not kept.'} Lines: 70, 100 and 130 %
			of the stiffness assumed; none beyond {TELLS_TO} × where they part.
		</span>
	</div>
</section>
