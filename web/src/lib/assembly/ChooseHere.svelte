<script lang="ts">
	/** Shims of one station, chosen from what was just measured: what is suggested, and one press to take it. */
	import { shimAction, type StationSheet } from '@zinc-ledger/core';
	import { write } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import RoundFigures from '$lib/job/round/RoundFigures.svelte';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';

	let { station }: { station: StationSheet } = $props();
	const store = getJobStore();
	const bench = getBench();
	let problem = $state<string | null>(null);
	const shims = $derived(
		station.stack.shims.map((shim) => bench.length(shim)).join(' + ') || 'none'
	);

	const fit = async () => (problem = await store.fitSuggested(station, bench.person));
</script>

<div class="mt-4">
	<RoundFigures {station} quantity="installed-height" />
	<p class="mt-3">Shims as chosen: <b class="figure">{shims}</b></p>
	{#if station.shim?.answer.type === 'fit'}
		<p class="mt-2 flex flex-wrap items-center gap-3">
			{write(shimAction(station.shim.answer, station.stack.shims), bench.units)}
			<Button type="button" onclick={fit}>Take these shims</Button>
		</p>
	{/if}
	<Alert {problem} class="mt-2" />
</div>
