<script lang="ts">
	/** The job as it is beside the job as it might be, figure by figure. */
	import { KINDS } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { rowsOf, worstOf, type Side } from './comparison';
	import Table from '$lib/ui/Table.svelte';

	let { sides }: { sides: readonly Side[] } = $props();
	const bench = getBench();
	const isPlanned = $derived(sides.some(({ plan }) => plan !== null));
</script>

<Table class="h-max text-[14px]" aria-label="Side by side">
	<thead>
		<tr>
			<th></th>
			{#each sides as { name } (name)}<th class="text-right">{name}</th>{/each}
		</tr>
	</thead>
	<tbody>
		{#each KINDS as kind (kind)}
			{#each rowsOf(kind, sides, bench) as { name, figures } (name)}
				<tr>
					<td>{name}</td>
					{#each figures as figure, i (i)}
						<td class="figure text-right {figure.bad ? 'font-semibold text-stop' : ''}"
							>{figure.text}</td
						>
					{/each}
				</tr>
			{/each}
		{/each}
		{#if isPlanned}
			<tr>
				<td>Worst off target, {bench.units.length}</td>
				{#each sides as { name, plan } (name)}
					<td class="figure text-right">{plan ? worstOf(plan, bench) : ''}</td>
				{/each}
			</tr>
		{/if}
	</tbody>
</Table>
