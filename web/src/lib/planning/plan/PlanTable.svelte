<script lang="ts">
	/** What the plan would have at every station, beside what stands there now; that alone before there is one. */
	import {
		lengthOf,
		type Job,
		type PlannedStation,
		type Sheet,
		type Message
	} from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import { stateClass } from '$lib/ui/state';
	import { write } from '@zinc-ledger/words';
	import Button from '$lib/ui/Button.svelte';
	import Checkbox from '$lib/ui/Checkbox.svelte';
	import Table from '$lib/ui/Table.svelte';

	interface Props {
		job: Job;
		/** As the plan would have it; as it stands before there is one. */
		sheet: Sheet;
		planned: ReadonlyMap<string, PlannedStation>;
		leftOut: ReadonlyMap<string, Message>;
		fixed: ReadonlySet<string>;
		selected: string | null;
		onselect: (label: string) => void;
		onfix: (label: string) => void;
	}
	let { job, sheet, planned, leftOut, fixed, selected, onselect, onfix }: Props = $props();
	const bench = getBench();
	const { length, load } = bench;
	const shims = (texts: readonly string[]) =>
		texts.map((text) => length(lengthOf(text))).join(' + ') || 'none';
	const rows = $derived(job.stations.map((entry, i) => ({ entry, after: sheet.stations[i] })));
	const anySpring = $derived(
		(job.setup.springs ?? []).length > 0 || [...planned.values()].some((one) => one.newSpring)
	);
	const springOf = (
		at: { spring?: string | undefined; newSpring?: true | undefined } | undefined
	) => (at?.newSpring ? 'new' : at?.spring);
</script>

{#snippet change(before: string, after: string | undefined)}
	{#if after === undefined || after === before}
		<span class="text-soft">{before}</span>
	{:else}
		<span class="text-faint line-through">{before}</span>
		<b class="font-semibold">{after}</b>
	{/if}
{/snippet}

<Table class="text-[13px]">
	<thead class="sticky top-0 z-[1] bg-paper">
		<tr>
			<th>Valve</th>
			<th>Locked</th>
			<th>Shims, {bench.units.length}</th>
			<th>Locks</th>
			{#if anySpring}<th>Spring</th>{/if}
			<th class="text-right">Height</th>
			<th class="text-right">Seat, {bench.units.load}</th>
			<th class="text-right">Open</th>
			<th class="text-right">Bind margin</th>
			<th class="text-right">Seal clearance</th>
			<th></th>
		</tr>
	</thead>
	<tbody>
		{#each rows as { entry, after } (entry.label)}
			{@const plan = planned.get(entry.label)}
			<tr
				class={[
					'border-b border-hair [&>td]:px-1.5 [&>td]:py-0.5',
					selected === entry.label && 'bg-chromate-wash'
				]}
				data-plan={entry.label}
			>
				<td class="whitespace-nowrap">
					<Button look="cell" class="figure font-semibold" onclick={() => onselect(entry.label)}>
						{entry.label}
					</Button>
					<!-- Where the words are out of sight to the right. -->
					{#if after}<span class="bench:hidden"><Mark state={after.state} /></span>{/if}
				</td>
				<td>
					<Checkbox
						aria-label="{entry.label} locked"
						checked={fixed.has(entry.label)}
						onchange={() => onfix(entry.label)}
					/>
				</td>
				<td class="figure">{@render change(shims(entry.shims), plan && shims(plan.shims))}</td>
				<td>{@render change(entry.parts?.locks?.name ?? '', plan?.locks?.name)}</td>
				{#if anySpring}
					<td class="figure">{@render change(springOf(entry) ?? '·', springOf(plan))}</td>
				{/if}
				<td class="figure text-right">{length(after?.figures.height.figure)}</td>
				<td class="figure text-right">
					{load(after?.figures.seatLoad.figure)}
				</td>
				<td class="figure text-right">
					{load(after?.figures.openLoad.figure)}
				</td>
				<td class="figure text-right {stateClass(after?.figures.bindMargin.state ?? 'clear')}">
					{length(after?.figures.bindMargin.figure)}
				</td>
				<td class="figure text-right {stateClass(after?.figures.sealClearance.state ?? 'clear')}">
					{length(after?.figures.sealClearance.figure)}
				</td>
				<td class="min-w-48 bench:min-w-0">
					{#if leftOut.has(entry.label)}
						<span class="text-soft">{write(leftOut.get(entry.label), bench.units)}</span>
					{:else if fixed.has(entry.label)}
						<span class="text-soft">locked</span>
					{:else if after && after.state !== 'clear' && after.state !== 'not-measured'}
						{@const why = after.remarks.find(({ state }) => state === after.state)}
						<Mark state={after.state} word />
						{#if why}<span class="text-soft">{write(why.text, bench.units)}</span>{/if}
					{/if}
				</td>
			</tr>
		{/each}
	</tbody>
</Table>
