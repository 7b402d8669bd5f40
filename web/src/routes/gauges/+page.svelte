<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import { dueOn } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import LinkState from '$lib/parts/gauges/LinkState.svelte';
	import { correctionWords } from '$lib/parts/gauges/words';
	import { useKeys } from '$lib/keys/keys.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import { label } from '@zinc-ledger/words';
	import { capital } from '$lib/ui/words';
	import Button from '$lib/ui/Button.svelte';
	import Table from '$lib/ui/Table.svelte';

	let { data } = $props();
	const bench = getBench();
	useKeys([]);
	const today = new Date().toISOString().slice(0, 10);
</script>

<svelte:head><title>Gauges · Zinc Ledger</title></svelte:head>

<main id="main" class="flex-1 overflow-auto bg-paper px-4 py-4 bench:px-8 bench:py-6">
	<div class="flex items-end gap-4">
		<h1 class="text-2xl font-semibold">Gauges</h1>
		<p class="pb-0.5 text-soft">
			A reading keeps the correction that was in force when it was taken.
		</p>
		<Button href="/gauges/new" look="main" class="ml-auto"><Plus size={17} /> Add a gauge</Button>
	</div>
	<Table class="mt-5">
		<thead>
			<tr>
				<th class="pl-3">Gauge</th>
				<th>Type</th>
				<th>Resolution</th>
				<th>Correction in force</th>
				<th>Calibration due</th>
				<th>Link</th>
			</tr>
		</thead>
		<tbody>
			{#each data.gauges as { gauge, checks } (gauge.id)}
				{@const due = dueOn(checks, gauge.dueMonths)}
				<tr class="align-top">
					<td class="py-2 pl-3">
						<a class="font-semibold underline" href="/gauges/{gauge.id}">{gauge.name}</a>
					</td>
					<td class="py-2">{capital(label('gauge', gauge.type))}</td>
					<td class="figure py-2 text-[13px]">
						{[gauge.resolution, gauge.loadResolution].filter(Boolean).join(', ') || '·'}
					</td>
					<td class="figure py-2 text-[13px]">{correctionWords(gauge, checks, bench.units)}</td>
					<td class="py-2 text-[14px]">
						{#if due === null}<Mark state="watch" /> never checked
						{:else if due < today}<Mark state="watch" /> was due {due}
						{:else}<span class="figure text-[13px]">{due}</span>{/if}
					</td>
					<td class="py-2 text-[14px]">
						{#if gauge.link}<LinkState {gauge} />{:else}<span class="text-faint">typed</span>{/if}
					</td>
				</tr>
			{:else}
				<tr><td class="py-6 pl-3 text-soft" colspan="6">No gauges yet.</td></tr>
			{/each}
		</tbody>
	</Table>
</main>
