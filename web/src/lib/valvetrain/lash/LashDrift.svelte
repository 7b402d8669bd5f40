<script lang="ts">
	/** What lash has done since it was set. */
	import { write } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import Table from '$lib/ui/Table.svelte';

	const store = getJobStore();
	const bench = getBench();
	const drifted = $derived(store.sheet.stations.filter(({ lashDrift }) => lashDrift !== null));
	const { length } = bench;
</script>

<h2 class="border-b-2 border-ink pb-1 font-semibold not-first:mt-5">Lash drift</h2>
{#if drifted.length > 0}
	<Table class="text-[14px]" aria-label="Drift">
		<tbody>
			{#each drifted as station (station.label)}
				{@const remark = station.remarks.find(({ about }) => about === 'lash-drift')}
				<tr>
					<th scope="row" class="figure text-left">{station.label}</th>
					<td class="figure text-right">
						<Mark state={remark?.state ?? 'clear'} />
						{station.lashDrift! > 0 ? '+' : ''}{length(station.lashDrift!)}
					</td>
					<td class="pl-4 text-soft">
						{station.lashDrift! > 0 ? 'opened up' : 'closed up'}
					</td>
				</tr>
			{/each}
		</tbody>
	</Table>
	{#each store.sheet.remarks.filter(({ about }) => about === 'lash-drift') as remark, i (i)}
		<p class="mt-2">
			<Mark state={remark.state} word />
			{write(remark.text, bench.units)}
		</p>
	{/each}
{:else}
	<p class="mt-2 text-[13px] text-soft">
		Read lash “as found” before anything is turned, and it is compared with what was set last.
	</p>
{/if}
