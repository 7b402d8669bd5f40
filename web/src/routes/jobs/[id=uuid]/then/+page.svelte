<script lang="ts">
	/** What changed since the last signed sheet: one line for each valve, the rest on demand. */
	import {
		fatesOf,
		inCommon,
		inCommonMessages,
		isLashAtOtherTemperature,
		loadsInCommon,
		testerRatio,
		visitComparison
	} from '@zinc-ledger/core';
	import { write } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import Chart from '$lib/charts/Chart.svelte';
	import HeadPlan from '$lib/sheet/head-plan/HeadPlan.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import { useKeys } from '$lib/keys/keys.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import ToggleGroup from '$lib/ui/ToggleGroup.svelte';
	import { moment } from '$lib/ui/words';
	import {
		COMPARISON_FILTERS,
		comparisonState,
		isAmong,
		type ComparisonFilter
	} from '$lib/visits/comparison/comparison';
	import { lossesChart } from '$lib/visits/comparison/losses-chart';
	import ChangedValves from '$lib/visits/comparison/ChangedValves.svelte';
	import Disclosure from '$lib/ui/Disclosure.svelte';
	import { fateCounts } from '$lib/visits/comparison/service';
	import SpringFates from '$lib/visits/comparison/SpringFates.svelte';
	import VisitComparison from '$lib/visits/comparison/VisitComparison.svelte';

	let { data } = $props();
	const store = getJobStore();
	const bench = getBench();
	useKeys([]);
	let shown = $state<ComparisonFilter>('all');
	const stations = $derived(data.then ? visitComparison(data.then.signed, store.job) : []);
	const common = $derived(inCommon(stations));
	const loads = $derived(loadsInCommon(stations, testerRatio(store.job)));
	const rows = $derived(stations.filter((one) => isAmong(shown, one)));
	const byLabel = $derived(new Map(stations.map((one) => [one.station, one])));
	/** The plan by what moved, in place of how the figures stand. */
	const inPlan = $derived(
		store.sheet.stations.map((one) => ({ ...one, state: comparisonState(byLabel.get(one.label)) }))
	);
	const life = $derived(new Map(data.life.map(({ station, used }) => [station, used!])));
	const fates = $derived(fatesOf(store.job, store.sheet, stations, life));
	const isCompared = $derived(stations.some(({ moved }) => Object.keys(moved).length > 0));
	let isOpen = $state(false);
	const hasLosses = $derived(stations.some(({ losses }) => losses));
</script>

<svelte:head><title>Changes since last visit · {store.job.number} · Zinc Ledger</title></svelte:head
>

<div class="overflow-auto px-4 bench:px-6 py-4">
	<div class="flex flex-wrap items-center gap-x-4 gap-y-2 border-b-2 border-ink pb-2">
		<h1 class="text-xl font-semibold">Changes since last visit</h1>
		{#if data.then}
			<span class="text-soft">
				compared with
				<a class="underline" href="/jobs/{data.then.job}"
					>job <span class="figure">{data.then.number}</span></a
				>, sheet {data.then.revision}, signed {moment(data.then.at)}
			</span>
		{/if}
	</div>
	{#if data.then}
		{#each inCommonMessages(common, loads, isLashAtOtherTemperature(stations)) as remark (remark.code + JSON.stringify(remark))}
			<p class="mt-2"><Mark state="inconclusive" word /> {write(remark, bench.units)}.</p>
		{/each}
		{#if loads && loads.reference === null}
			<p class="mt-1">
				<a class="underline" href="/jobs/{store.job.id}/diagnosis">Enter a reference spring</a>
			</p>
		{/if}
		{#if isCompared}
			<div class="mt-3"><ChangedValves {stations} {fates} {common} {loads} /></div>
		{:else}
			<p class="mt-3">Nothing to compare yet: measure heights, lash and springs again.</p>
		{/if}
		<Disclosure class="mt-4" title="Used springs: {fateCounts(fates)}">
			<SpringFates {fates} />
		</Disclosure>
		<Disclosure class="mt-4" title="All figures" bind:open={isOpen}>
			<div class="mb-2 flex flex-wrap items-center gap-4">
				<p class="max-w-3xl text-[13px] text-soft">
					Same parts only, shims subtracted, loads at the current height. Gray: within measurement
					uncertainty. *: different gauge. Lash as received, before it was set.
				</p>
				<ToggleGroup
					label="Valves"
					options={COMPARISON_FILTERS.map((value) => ({ value, label: value }))}
					bind:value={shown}
				/>
			</div>
			<HeadPlan
				job={store.job}
				stations={inPlan}
				done={{ is: ({ state }) => state !== 'not-measured', word: 'compared' }}
			/>
			<VisitComparison stations={rows} />
			{#if rows.length === 0}<p class="mt-3 text-soft">No valve matches.</p>{/if}
			{#if hasLosses}
				<h2 class="mt-6 mb-1 border-b border-ink pb-1 font-semibold">
					Seat load lost, along the head
				</h2>
				<Chart
					option={lossesChart(stations, bench.units)}
					label="Seat load lost to height and to spring sag, valve by valve"
				/>
			{/if}
		</Disclosure>
	{:else}
		<p class="mt-3">This engine has no signed sheet before this visit.</p>
	{/if}
</div>
