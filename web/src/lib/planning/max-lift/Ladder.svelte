<script lang="ts">
	/** What each single change would gain, and what it costs; a change may be laid on the ones before. */
	import type { ChangeStep, Kind, LiftOption } from '@zinc-ledger/core';
	import { label, write } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import Table from '$lib/ui/Table.svelte';

	interface Props {
		kind: Kind;
		ladder: readonly LiftOption[];
		onadd: (step: ChangeStep) => void;
	}
	let { kind, ladder, onadd }: Props = $props();
	const bench = getBench();
	const { length } = bench;
</script>

<div class="overflow-x-auto">
	<Table class="mt-1 text-[13px]" aria-label="What single changes gain, {kind}">
		<thead>
			<tr>
				<th>Change</th><th class="text-right">Gain</th><th>Next limit</th><th>Trade-off</th><th
					><span class="sr-only">Add</span></th
				>
			</tr>
		</thead>
		<tbody>
			{#each ladder as option, i (i)}
				<tr class="align-top {option.notRecommended ? 'text-soft' : ''}">
					<td>{write(option.change, bench.units)}</td>
					<td class="figure text-right">{length(option.gain)}</td>
					<td class="tablet:whitespace-nowrap"
						>{label('liftLimit', option.next.limit)}{option.next.station
							? ` at ${option.next.station}`
							: ''},
						<span class="figure">{length(option.next.lift)}</span></td
					>
					<td
						>{#if option.notRecommended}<Mark state="watch" word />{/if}
						{write(option.tradeOff, bench.units)}</td
					>
					<td class="text-right">
						{#if option.step}
							{@const step = option.step}
							<Button
								small
								aria-label="Add {write(option.change, bench.units)}"
								onclick={() => onadd(step)}>Add</Button
							>
						{/if}
					</td>
				</tr>
			{:else}
				<tr><td class="py-1 text-soft" colspan="5">No single change here gains lift.</td></tr>
			{/each}
		</tbody>
	</Table>
</div>
