<script lang="ts">
	/** What to take off the shelf for the plan in force, by part and by station; printed. */
	import {
		pickList,
		planInForce,
		withoutBuilds,
		type PlannedStation,
		keyOf,
		type Message
	} from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import { capital, moment } from '$lib/ui/words';
	import { write } from '@zinc-ledger/words';
	import Button from '$lib/ui/Button.svelte';
	import Table from '$lib/ui/Table.svelte';

	const store = getJobStore();
	const bench = getBench();
	const plan = $derived(planInForce(store.job));
	const stations = $derived((plan?.stations ?? []) as PlannedStation[]);
	const picks = $derived(pickList(withoutBuilds(store.shelved), stations));
	const name = (part: Message) => capital(write(part, bench.units));
	const short = $derived(picks.filter((pick) => pick.short > 0));
</script>

<svelte:head><title>Pick list · {store.job.number} · Zinc Ledger</title></svelte:head>

<div class="overflow-auto px-4 bench:px-6 py-4">
	<div class="flex items-center gap-3 print:hidden">
		<Button href="/jobs/{store.job.id}/plan">Back to the plan</Button>
		<Button onclick={() => print()} look="main">Print</Button>
	</div>
	{#if !plan}
		<p class="mt-6 text-soft">No plan is accepted yet.</p>
	{:else}
		<h1 class="mt-4 text-xl font-semibold">
			Pick list, job <span class="figure">{store.job.number}</span>
		</h1>
		<p class="text-soft">
			{store.job.engine.name}. Plan of {moment(plan.at)}, {store.initials(plan.person)}.
		</p>
		{#if short.length > 0}
			<p class="mt-3 font-semibold text-watch">
				To order: {short.map((pick) => `${name(pick.part)} × ${pick.short}`).join(', ')}.
			</p>
		{/if}
		<div class="mt-4 grid gap-8 bench:grid-cols-2">
			<Table class="self-start">
				<thead>
					<tr>
						<th>Part</th><th>Take</th><th>In stock</th><th>For</th>
					</tr>
				</thead>
				<tbody>
					{#each picks as pick (keyOf(pick.part))}
						<tr>
							<td>{name(pick.part)}</td>
							<td class="figure">{pick.wanted}</td>
							<td class="figure">{pick.shelf ?? (pick.type === 'spring' ? '·' : 'not counted')}</td>
							<td class="figure text-[13px]">{pick.stations.join(' ')}</td>
						</tr>
					{:else}
						<tr><td colspan="4" class="py-2 text-soft">Nothing to pick: all is locked.</td></tr>
					{/each}
				</tbody>
			</Table>
			<Table class="self-start">
				<thead>
					<tr>
						<th>Valve</th><th>Shims, thickest against the head</th><th>Spring</th><th>Locks</th>
					</tr>
				</thead>
				<tbody>
					{#each stations as station (station.label)}
						<tr>
							<td class="figure font-semibold">{station.label}</td>
							<td class="figure">{station.shims.join(' + ') || 'none'}</td>
							<td class="figure">{station.newSpring ? 'new' : (station.spring ?? '·')}</td>
							<td>{station.locks?.name ?? 'unchanged'}</td>
						</tr>
					{/each}
				</tbody>
			</Table>
		</div>
	{/if}
</div>
