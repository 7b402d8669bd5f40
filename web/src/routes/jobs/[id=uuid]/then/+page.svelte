<script lang="ts">
	/** The head as it was signed last beside the head as it came back. */
	import { inCommon, thenAndNow } from '@zinc-ledger/core';
	import { label } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getBook } from '$lib/job/book.svelte';
	import { useKeys } from '$lib/keys/keys.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import ToggleGroup from '$lib/ui/ToggleGroup.svelte';
	import { moment } from '$lib/ui/words';
	import { changeText, hasMoved } from '$lib/visit/besides';
	import ThenAndNow from '$lib/visit/ThenAndNow.svelte';

	let { data } = $props();
	const book = getBook();
	const bench = getBench();
	useKeys([]);
	const SHOWN = [
		{ value: 'all', label: 'all' },
		{ value: 'moved', label: 'moved' }
	] as const;
	let shown = $state<(typeof SHOWN)[number]['value']>('all');
	const stations = $derived(data.then ? thenAndNow(data.then.signed, book.job) : []);
	const common = $derived(inCommon(stations));
	const rows = $derived(shown === 'moved' ? stations.filter(hasMoved) : stations);
</script>

<svelte:head><title>Then and now · {book.job.number} · Zinc Ledger</title></svelte:head>

<div class="overflow-auto px-4 bench:px-6 py-4">
	<div class="flex flex-wrap items-center gap-x-4 gap-y-2 border-b-2 border-ink pb-2">
		<h1 class="text-xl font-semibold">Then and now</h1>
		{#if data.then}
			<span class="text-soft">
				then:
				<a class="underline" href="/jobs/{data.then.job}"
					>job <span class="figure">{data.then.number}</span></a
				>, sheet {data.then.revision}, signed {moment(data.then.at)}
			</span>
			<span class="ml-auto"><ToggleGroup label="Valves" options={SHOWN} bind:value={shown} /></span>
		{/if}
	</div>
	{#if data.then}
		{#each common as { trace, by, uncertainty } (trace)}
			<p class="mt-2">
				<Mark state="inconclusive" word /> All valves read
				<b class="figure">{changeText(trace, { by, uncertainty }, bench)}</b>
				in {label('trace', trace)} on another gauge: read a standard on both. Until then the whole of
				it counts.
			</p>
		{/each}
		<p class="mt-2 max-w-3xl text-[13px] text-soft">
			Compared over the same parts only, shims taken off, loads at the height of now. Grey is within
			what both were read to; * was read on another gauge. Lash counts as it was found, before it
			was turned.
		</p>
		<ThenAndNow stations={rows} />
		{#if rows.length === 0}<p class="mt-3 text-soft">No valve moved.</p>{/if}
	{:else}
		<p class="mt-3">Nothing was signed of this engine before this visit.</p>
	{/if}
</div>
