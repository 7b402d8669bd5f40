<script lang="ts">
	/** How the valve moves at one engine speed, over the crankshaft's angle, with what the train pushes it with. */
	import {
		newtons,
		showSpeed,
		TELLS_TO,
		type Controlled,
		type RevolutionsPerMinute
	} from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import Chart from '$lib/charts/Chart.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import Alert from '$lib/ui/Alert.svelte';
	import { WORKER_FAILED } from '$lib/worker/worker-client';
	import SpeedSlider from './SpeedSlider.svelte';
	import { MotionPreview } from './motion-preview.svelte';
	import { courseChart } from './motion-chart';

	interface Props {
		of: Controlled;
		highest: number | null;
		/** Where the valve parts from its cam, in rpm, once the motion was calculated. */
		separation: number | null;
	}
	let { of, highest, separation }: Props = $props();
	const store = getJobStore();
	const bench = getBench();
	const motionPreview = new MotionPreview();
	let moved = $state<number | null>(null);
	const speed = $derived(moved ?? highest ?? Math.round(of.limit.speed * 0.7));
	const text = $derived(`${showSpeed(speed as RevolutionsPerMinute)} rpm`);
	const motion = $derived(motionPreview.course?.motion);
	$effect(() => motionPreview.ask({ job: store.job, station: of.station, speed, separation }));
</script>

<section aria-label="Course of {of.station}">
	<h2 class="border-b-2 border-ink pb-1 font-semibold">
		One turn at one speed, <span class="figure">{of.station}</span>
	</h2>
	{#if motionPreview.failed}
		<Alert problem={WORKER_FAILED} class="py-10" />
	{:else if motionPreview.course}
		<Chart
			tall
			option={courseChart(motionPreview.course, bench.units)}
			label="Lift and contact force of {of.station} over crank angle at {text}"
		/>
	{:else if motionPreview.isKnown}
		<p class="py-10 text-soft">
			Beyond {TELLS_TO} × where it parts from its cam the model tells nothing.
		</p>
	{:else}
		<p class="py-10 text-soft">Calculating…</p>
	{/if}
	<SpeedSlider
		label="Engine speed of the turn"
		{of}
		bind:speed={() => speed, (to) => (moved = to)}
	/>
	{#if motion}
		<p class="text-[13px]" aria-live="polite">
			{motion.parted > 0
				? `Parted for ${(motion.parted * 1e3).toFixed(2)} ms`
				: 'Stays with its cam'}; lands at
			<b class="figure">{motion.seatingVelocity?.toFixed(2) ?? '·'}</b> m/s; bounces
			<b class="figure">{(motion.bounce * 1e6).toFixed(0)}</b> µm; contact to
			<b class="figure">{bench.load(newtons(motion.maxForce))}</b>
			{bench.units.load}.
		</p>
	{/if}
</section>
