<script lang="ts">
	/** What moves with a valve of each kind, and what the parts being tried would save. */
	import { KINDS, massChange, showMass, type Setup } from '@zinc-ledger/core';
	import { capital } from '$lib/ui/words';
	import { label } from '@zinc-ledger/words';

	let { before, after }: { before: Setup; after: Setup } = $props();
	const rows = $derived(
		KINDS.map((kind) => ({ kind, ...massChange(before.kinds[kind], after.kinds[kind]) }))
	);
</script>

<table class="w-full text-[13px]">
	<thead>
		<tr class="border-b border-ink text-left">
			<th class="py-1 font-semibold">Moving mass at the valve</th>
			<th class="py-1 text-right font-medium text-soft"><span class="figure">g</span></th>
			<th class="py-1 text-right font-medium text-soft">with these parts</th>
			<th class="py-1 text-right font-medium text-soft">change</th>
		</tr>
	</thead>
	<tbody>
		{#each rows as { kind, before: now, after: then, difference, part } (kind)}
			<tr class="border-b border-hair align-top">
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
</table>
