<script lang="ts">
	/** What was tried so far, a line for each valve. */
	import { holdsAir, minRoom, passagesAtFault, type StationSheet } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { label as nameOf } from '@zinc-ledger/words';
	import Mark from '$lib/ui/Mark.svelte';
	import Table from '$lib/ui/Table.svelte';

	let { stations }: { stations: readonly StationSheet[] } = $props();
	const bench = getBench();
</script>

<Table aria-label="Checks so far">
	<thead>
		<tr>
			<th>Valve</th><th class="text-right">Vacuum</th>
			<th class="pl-4">Passages</th><th class="text-right">Piston</th>
		</tr>
	</thead>
	<tbody>
		{#each stations as { label, checks, figures } (label)}
			{@const { vacuum, leakDown, piston, passages } = checks}
			{@const verdict = figures.piston}
			{@const faults = passagesAtFault(checks)}
			{@const clear = Object.keys(passages).length}
			<tr>
				<th scope="row" class="figure text-left font-semibold">{label}</th>
				<td class="figure text-right">
					{#if vacuum}
						<Mark state={figures.vacuum?.state ?? 'not-measured'} />
						{vacuum.reached}, {vacuum.seconds} s
					{:else if leakDown}
						<Mark state={holdsAir(leakDown) ? 'clear' : 'stop'} />
						leak-down {(leakDown.loss * 100).toFixed(0)} %
					{:else}·{/if}
				</td>
				<td class="pl-4">
					{#if faults.length > 0}
						<Mark state="stop" /> {faults.map((one) => nameOf('passage', one)).join(', ')}
					{:else}
						{clear > 0 ? `${clear} clear` : '·'}
					{/if}
				</td>
				<td class="figure text-right">
					{#if piston && verdict}
						<Mark state={verdict.state} />
						{bench.length(verdict.figure)} at {minRoom(piston).angle}°
					{:else}·{/if}
				</td>
			</tr>
		{/each}
	</tbody>
</Table>
