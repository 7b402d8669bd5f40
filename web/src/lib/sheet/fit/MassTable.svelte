<script lang="ts">
	/** What moves with a valve of each kind, and what the parts being tried would save. */
	import {
		assemblyMass,
		KINDS,
		massChange,
		showMass,
		type Kind,
		type Setup
	} from '@zinc-ledger/core';
	import { capital } from '$lib/ui/words';
	import { label } from '@zinc-ledger/words';
	import Table from '$lib/ui/Table.svelte';

	let { before, after }: { before: Setup; after: Setup } = $props();
	const whole = (kind: Kind) => assemblyMass(after.kinds[kind]);
	const rows = $derived(
		KINDS.map((kind) => ({ kind, ...massChange(before.kinds[kind], after.kinds[kind]) }))
	);
</script>

<Table class="text-[13px]">
	<thead>
		<tr>
			<th class="font-semibold">Moving mass at the valve</th>
			<th class="text-right"><span class="figure">g</span></th>
			<th class="text-right">with these parts</th>
			<th class="text-right">change</th>
		</tr>
	</thead>
	<tbody>
		{#each rows as { kind, before: now, after: then, difference, part } (kind)}
			<tr class="align-top">
				<td class="py-1">
					{capital(label('kind', kind))}
					<span class="block text-xs text-soft">
						{then.parts
							.map(({ part: one, mass }) => `${label('part', one)} ${showMass(mass)}`)
							.join(', ')}
						{#if then.missing.length > 0}
							<b
								>· without {then.missing.map((one) => label('part', one)).join(', ')}: no mass given</b
							>
						{/if}
					</span>
					{#if whole(kind).total > 0}
						<span class="block text-xs text-soft">
							whole assembly <span class="figure">{showMass(whole(kind).total)}</span>, spring and
							all{whole(kind).missing.length > 0 ? ', as far as masses are given' : ''}
						</span>
					{/if}
				</td>
				<td class="figure py-1 text-right">{showMass(now.total)}</td>
				<td class="figure py-1 text-right">{showMass(then.total)}</td>
				<td class="figure py-1 text-right whitespace-nowrap">
					{difference === 0
						? '·'
						: `${showMass(difference)} (${(part * 100).toFixed(1).replace('-', '−')} %)`}
				</td>
			</tr>
		{/each}
	</tbody>
</Table>
