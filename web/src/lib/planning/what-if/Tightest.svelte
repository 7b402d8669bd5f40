<script lang="ts">
	/** The station that is tightest as it might be, drawn with the outline of how it stands. */
	import { partsOf, type Setup, type Sheet } from '@zinc-ledger/core';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import Section from '$lib/sheet/section/Section.svelte';
	import Select from '$lib/ui/Select.svelte';
	import { plain } from '$lib/ui/options';

	interface Props {
		now: Sheet;
		then: Sheet | null;
		/** As it might be. */
		setup: Setup;
	}
	let { now, then, setup }: Props = $props();
	const store = getJobStore();
	const shown = $derived(then ?? now);
	const tightest = $derived(
		shown.stations
			.filter(({ figures }) => figures.bindMargin.figure !== null)
			.toSorted((a, b) => a.figures.bindMargin.figure! - b.figures.bindMargin.figure!)[0]?.label
	);
	let label = $derived(tightest ?? store.job.stations[0]!.label);
	const at = (sheet: Sheet) => sheet.stations.find((station) => station.label === label)!;
	const entry = $derived(store.job.stations.find((station) => station.label === label)!);
	const drawn = $derived(at(shown));
</script>

<div class="flex flex-wrap items-start gap-x-4">
	<div class="w-[19rem] max-w-full">
		<Section
			station={drawn}
			kind={drawn.shared}
			parts={partsOf(then ? setup : store.job.setup, entry)}
			before={then && { station: at(now), parts: partsOf(store.job.setup, entry) }}
			plain
		/>
	</div>
	<div class="w-36 text-[13px] text-soft">
		Station
		<Select
			aria-label="Station drawn"
			class="figure"
			options={plain(store.job.stations.map((station) => station.label))}
			bind:value={label}
		/>
		<p class="mt-1">{label === tightest ? 'Nearest to bind.' : ''}</p>
	</div>
</div>
