<script lang="ts">
	/** Inspection with figures: none of it has to be, all of it is kept for when the head comes back. */
	import InspectedTable from '$lib/job/inspection/InspectedTable.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import { write } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import { INSPECTED_VIEWS, verdictIn } from '$lib/sheet/table/columns';

	const store = getJobStore();
	const bench = getBench();
	/** What is to be said of them, the worst first. */
	const findings = $derived(
		store.sheet.stations.flatMap((station) =>
			INSPECTED_VIEWS.flatMap(({ key }) => {
				const verdict = verdictIn(station, key);
				return verdict?.remedy && verdict.state !== 'clear'
					? [{ label: station.label, key, state: verdict.state, text: verdict.remedy }]
					: [];
			})
		)
	);
</script>

<svelte:head><title>Valve figures · {store.job.number} · Zinc Ledger</title></svelte:head>

<div class="min-h-0 flex-1 overflow-auto px-4 py-4 bench:px-6">
	<h1 class="text-xl font-semibold">Valves, seats and chambers</h1>
	<p class="mt-1 max-w-prose text-[13px] text-soft">
		Measure what this head calls for: each is a round of its own. Figures are held against the
		<a class="underline" href="/policies">shop’s limits</a> and against the middle of their kind, and
		stay for when the head comes back.
	</p>
	<div class="mt-4"><InspectedTable /></div>
	{#if findings.length > 0}
		<h2 class="mt-6 border-b border-ink pb-1 font-semibold">To look at</h2>
		<ul>
			{#each findings as { label, key, state, text } (`${label} ${key}`)}
				<li class="border-b border-hair py-1.5">
					<b class="figure inline-block w-10">{label}</b>
					<Mark {state} word />
					{write(text, bench.units)}
				</li>
			{/each}
		</ul>
	{/if}
</div>
