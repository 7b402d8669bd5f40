<script lang="ts">
	/** The job as it is beside the job as it might be, figure by figure. */
	import { KINDS } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { rowsOf, worstOf, type Side } from './comparison';

	let { sides }: { sides: readonly Side[] } = $props();
	const bench = getBench();
	const isPlanned = $derived(sides.some(({ plan }) => plan !== null));
</script>

<table class="mt-5 w-full max-w-4xl border-collapse text-[14px]" aria-label="Side by side">
	<thead>
		<tr
			class="border-b-2 border-ink text-[12px] text-soft [&>th]:pr-6 [&>th]:pb-1 [&>th]:font-medium"
		>
			<th class="text-left"></th>
			{#each sides as { name } (name)}<th class="text-right">{name}</th>{/each}
		</tr>
	</thead>
	<tbody class="[&>tr]:border-b [&>tr]:border-hair [&_td]:py-1 [&_td]:pr-6">
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
</table>
