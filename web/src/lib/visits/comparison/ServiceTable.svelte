<script lang="ts">
	/** What parts of a head have run, and what part of their life that is; alike stations in one row. */
	import { label } from '@zinc-ledger/words';
	import Table from '$lib/ui/Table.svelte';
	import { capital } from '$lib/ui/words';
	import { alike, lifeText, ranText, type ServiceRow } from './service';

	let { items }: { items: readonly ServiceRow[] } = $props();
	const rows = $derived(alike(items));
</script>

<div class="overflow-x-auto">
	<Table aria-label="Service" class="text-left text-[14px]">
		<thead>
			<tr><th>Part</th><th>Valves</th><th class="text-right">Has run</th><th>Of its life</th></tr>
		</thead>
		<tbody>
			{#each rows as row (row.key)}
				<tr>
					<th scope="row" class="font-normal"
						>{capital(label('served', row.part))} {row.name ?? ''}</th
					>
					<td class="figure">{row.stations.join(' ')}</td>
					<td class="figure text-right">{ranText(row)}</td>
					<td class={(row.used ?? 0) >= 1 ? 'font-semibold text-stop' : ''}>{lifeText(row.used)}</td
					>
				</tr>
			{/each}
		</tbody>
	</Table>
</div>
