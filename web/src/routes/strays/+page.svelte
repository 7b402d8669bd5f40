<script lang="ts">
	/** Readings sent again after a restore whose job, valve, spring or operator is not in the backup. */
	import type { Reading, Sweep } from '@zinc-ledger/core';
	import { label } from '@zinc-ledger/words';
	import { useKeys } from '$lib/keys/keys.svelte';
	import Table from '$lib/ui/Table.svelte';
	import { capital, moment } from '$lib/ui/words';

	let { data } = $props();
	useKeys([]);
	const isReading = (entry: Reading | Sweep): entry is Reading => 'quantity' in entry;
</script>

<svelte:head><title>Readings not assigned · Zinc Ledger</title></svelte:head>

<main id="main" class="flex-1 overflow-auto bg-paper px-4 py-6 bench:px-8">
	<h1 class="text-2xl font-semibold">Readings not assigned</h1>
	<p class="mt-1 max-w-3xl text-[13px] text-soft">
		The shop was restored from a backup, and these readings were sent again. Their job, valve,
		spring or operator is not in the backup. If you have the job’s file, import it: its readings
		return to it. Otherwise enter them again in the right job.
	</p>
	{#each data.strays as { owner, of, name, entries } (owner)}
		<h2 class="mt-6 text-[15px] font-semibold">
			{of === 'reading' ? 'Job' : 'Spring set'}
			{name ?? 'not in this shop'}, {entries.length}
			{of === 'reading' ? 'reading' : 'spring test'}{entries.length === 1 ? '' : 's'}
		</h2>
		<Table
			class="mt-1 max-w-4xl text-[13px]"
			aria-label="Readings of {of === 'reading' ? 'job' : 'spring set'} {name ??
				'not in this shop'}"
		>
			<thead>
				<tr><th>Valve</th><th>Quantity</th><th>Reading</th><th>Operator</th><th>Time</th></tr>
			</thead>
			<tbody>
				{#each entries as { id, entry, person } (id)}
					<tr>
						{#if isReading(entry)}
							<td class="figure">{entry.station}</td>
							<td>{capital(label('quantity', entry.quantity))}</td>
							<td class="figure whitespace-nowrap">{entry.read}</td>
						{:else}
							<td>{entry.set}, spring {entry.tag}</td>
							<td>Spring test</td>
							<td class="figure">{entry.points.length} points</td>
						{/if}
						<td>{person ?? 'not in this shop'}</td>
						<td>{moment(entry.at)}</td>
					</tr>
				{/each}
			</tbody>
		</Table>
	{:else}
		<p class="mt-6">Every reading is assigned to a job.</p>
	{/each}
</main>
