<script lang="ts">
	/** Calculates how valves move on a valvetrain that flexes, and keeps the result with the job: only that can clear a limit. */
	import { v7 as uuid } from 'uuid';
	import { currentMotion, type Controlled, type ControlSweep } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Checkbox from '$lib/ui/Checkbox.svelte';
	import Progress from '$lib/ui/Progress.svelte';
	import { WORKER_FAILED } from '$lib/worker/worker-client';
	import { Sweeper } from './sweeper.svelte';

	interface Props {
		of: Controlled;
		/** Every valve that could be asked for. */
		all: readonly Controlled[];
		/** The last sweep, with the valve it is of. */
		shown: { readonly station: string; readonly sweep: ControlSweep } | null;
	}
	let { of, all, shown = $bindable() }: Props = $props();
	const store = getJobStore();
	const bench = getBench();
	const sweeper = new Sweeper();
	let problem = $state<string | null>(null);
	let swings = $state(true);
	/** Valves whose motion is still to be calculated from what the job has now. */
	const open = $derived(
		all.filter(({ station, basis }) => !currentMotion(store.job, station, basis)).length
	);

	async function calculate(stations: readonly string[]) {
		problem = null;
		const swept = await sweeper.ask({ job: store.job, stations, shown: of.station, swings });
		if (!swept) return;
		shown = swept.shown;
		// Coils that are taken to stand still flatter a valvetrain: that clears nothing.
		if (swept.motions.length === 0 || !swings) return;
		const entry = {
			id: uuid(),
			at: new Date().toISOString(),
			stations: swept.motions.map((motion) => ({ ...motion, basis: [...motion.basis] }))
		};
		problem = await store.append('motions', bench.person, entry);
	}
</script>

<section class="mt-3" aria-label="Calculate valve motion">
	<p class="max-w-3xl">
		{#if open === 0}
			Valve motion is calculated for all {all.length} valves.
		{:else if open === all.length}
			No valve can be called clear until its motion is calculated.
		{:else}
			{open} of {all.length} valves still need their motion calculated.
		{/if}
	</p>
	<div class="mt-2 flex flex-wrap items-center gap-3">
		{#if sweeper.done === null}
			<Button
				look={open > 0 ? 'main' : undefined}
				onclick={() => calculate(all.map(({ station }) => station))}
			>
				Calculate all {all.length}
			</Button>
			<Button onclick={() => calculate([of.station])}>Calculate {of.station} only</Button>
		{:else}
			<Button onclick={() => sweeper.cancel()}>Cancel</Button>
			<Progress label="Motion" value={sweeper.done} max={1} class="max-w-60" />
		{/if}
		<Checkbox bind:checked={swings}>include coil surge</Checkbox>
		{#if !swings}
			<span class="text-[13px] text-soft">Without coil surge the result is shown, not saved.</span>
		{/if}
	</div>
	<Alert problem={sweeper.failed ? WORKER_FAILED : problem} class="mt-2" />
</section>
