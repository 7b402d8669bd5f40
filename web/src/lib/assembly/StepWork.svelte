<script lang="ts">
	/** What is entered at a step in the car besides its tick: what was found, the height, the shims. */
	import type { Step, StationSheet } from '@zinc-ledger/core';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import Button from '$lib/ui/Button.svelte';
	import AsFoundForm from './AsFoundForm.svelte';
	import ChooseHere from './ChooseHere.svelte';

	interface Props {
		step: Step;
		station: StationSheet;
		/** Whether it is still to be done, and may be. */
		open: boolean;
		ondone: () => void;
	}
	let { step, station, open, ondone }: Props = $props();
	const store = getJobStore();
	const round = (of: string) =>
		`/jobs/${store.job.id}/round?of=${of}&only=${station.label}&back=assembly`;
</script>

{#if step.step === 'choose'}
	<ChooseHere {station} />
{:else if open && step.step === 'measure'}
	<p class="mt-3 flex flex-wrap gap-3">
		<Button href={round('installed-height')} look="main"
			>Measure the height of {station.label}</Button
		>
		<Button href={round('seal-gap')}>Measure its seal gap</Button>
	</p>
{:else if open && step.step === 'strip-spring'}
	<div class="mt-4">
		{#key step.key}
			<AsFoundForm station={station.label} keep="Save, spring is off" onkept={ondone} />
		{/key}
	</div>
{/if}
