<script lang="ts">
	/** One row a station, one column a quantity; each cell a figure and a thin scale. */
	import { scaleOf, trustOf, type FigureName, type StationSheet } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import ScaleBar from '$lib/ui/ScaleBar.svelte';
	import TrustMark from '$lib/ui/TrustMark.svelte';
	import { stateClass } from '$lib/ui/state';
	import { columnsFor, showFigure, verdictIn, unitOfColumn } from './columns';
	import { write } from '@zinc-ledger/words';
	import Button from '$lib/ui/Button.svelte';
	import Table from '$lib/ui/Table.svelte';

	interface Props {
		stations: readonly StationSheet[];
		/** All stations of the job, by which the columns go even when the rows are filtered. */
		all: readonly StationSheet[];
		selected: string | null;
		waiting: ReadonlySet<string>;
		/** Stations that a tagged spring was chosen for. */
		tagged: ReadonlySet<string>;
		sortedBy: FigureName | null;
		onselect: (label: string) => void;
		onsort: (column: FigureName | null) => void;
	}
	let { stations, all, selected, waiting, tagged, sortedBy, onselect, onsort }: Props = $props();
	const bench = getBench();
	const columns = $derived(columnsFor(all));
	const tight = $derived(stations.length > 12);
	/** So many columns that what is to do has room for its mark only; the words stand beside the section. */
	const narrow = $derived(columns.length > 7);

	function worstRemark(station: StationSheet) {
		return station.remarks.find((remark) => remark.state !== 'not-measured');
	}
</script>

<Table>
	<thead class="sticky top-0 z-[1] bg-paper">
		<tr>
			<th class="w-14 pl-3" aria-sort={sortedBy ? 'none' : 'ascending'}>
				<Button look="head" class="text-left" onclick={() => onsort(null)}>Valve</Button>
			</th>
			{#each columns as column (column.key)}
				<th
					class="{narrow
						? 'w-[66px] px-1'
						: 'w-[84px] px-1.5'} pb-1 text-right align-bottom leading-tight font-medium"
					aria-sort={sortedBy === column.key ? 'ascending' : 'none'}
				>
					<Button
						look="head"
						class="text-right"
						data-help={column.key}
						onclick={() => onsort(column.key)}
					>
						{column.title}
						<span class="figure block text-[11px]">
							{unitOfColumn(column, bench.units)}
							{sortedBy === column.key ? '↑' : ''}
						</span>
					</Button>
				</th>
			{/each}
			<th class="pl-3">To do</th>
		</tr>
	</thead>
	<tbody>
		{#each stations as station (station.label)}
			{@const remark = worstRemark(station)}
			<tr
				class={[
					'cursor-pointer border-b border-hair',
					station.label === selected ? 'bg-chromate-wash' : 'hover:bg-sunk'
				]}
				aria-selected={station.label === selected}
				data-row={station.label}
				onclick={() => onselect(station.label)}
			>
				<th
					scope="row"
					class={[
						'figure border-l-[5px] pl-2 text-left text-base font-medium',
						station.label === selected ? 'border-l-chromate' : 'border-l-transparent'
					]}
				>
					{station.label}
				</th>
				{#each columns as column (column.key)}
					{@const verdict = verdictIn(station, column.key)}
					{@const text = showFigure(verdict, column, bench.units)}
					{@const trust = trustOf(station.shared, column.key, tagged.has(station.label))}
					<td class="{narrow ? 'px-1' : 'px-1.5'} text-right {tight ? 'h-[30px]' : 'h-[39px]'}">
						{#if verdict && text !== null}
							<span
								class="figure block {tight
									? 'text-[15px] leading-[1.15]'
									: 'text-base leading-tight'} {stateClass(verdict.state)} {[
									'watch',
									'inconclusive',
									'stop'
								].includes(verdict.state)
									? 'font-semibold'
									: ''}"
							>
								{#if trust}<TrustMark {trust} />{/if}
								{text}{#if verdict.state !== 'clear'}<span class="sr-only">
										{verdict.state}</span
									>{/if}
							</span>
							{#if verdict.figure !== null}
								<ScaleBar scale={scaleOf(verdict.figure, verdict.limits)} state={verdict.state} />
							{/if}
						{:else}
							<span class="figure text-faint" title={verdict ? undefined : 'has none'}>·</span>
						{/if}
					</td>
				{/each}
				<td class="pl-3 text-[13px] leading-tight text-soft">
					{#if waiting.has(station.label)}
						<span class="font-semibold text-watch">unsent</span>
					{/if}
					{#if remark}
						<span class="line-clamp-2">
							<Mark state={remark.state} word />
							<span class={narrow ? 'sr-only' : ''}>{write(remark.text, bench.units)}</span>
						</span>
					{/if}
				</td>
			</tr>
		{/each}
	</tbody>
</Table>
