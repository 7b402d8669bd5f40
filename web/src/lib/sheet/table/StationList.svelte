<script lang="ts">
	/** The sheet on a phone: one line a station, what is wrong first; a press opens all of its figures. */
	import { byAlarm, scaleOf, type StationSheet } from '@zinc-ledger/core';
	import { write } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import ScaleBar from '$lib/ui/ScaleBar.svelte';
	import { COLUMN_VIEWS, showFigure, stateInWords, verdictIn } from './columns';
	import Button from '$lib/ui/Button.svelte';

	interface Props {
		stations: readonly StationSheet[];
		selected: string | null;
		waiting: ReadonlySet<string>;
		onselect: (label: string) => void;
	}
	let { stations, selected, waiting, onselect }: Props = $props();
	const bench = getBench();
	/** What a line has room for. */
	const FIGURES = COLUMN_VIEWS.filter(({ key }) =>
		['height', 'seatLoad', 'bindMargin'].includes(key)
	);
	const worstFirst = $derived(stations.toSorted((a, b) => byAlarm(a.state, b.state)));
	const remarkOf = ({ remarks }: StationSheet) =>
		remarks.find(({ state }) => state !== 'not-measured' && state !== 'clear');
	/** The figure that its state is about, or its height. */
	const shownBy = (station: StationSheet) =>
		COLUMN_VIEWS.map(({ key }) => verdictIn(station, key)).find(
			(verdict) => verdict?.state === station.state && verdict.figure !== null
		) ?? station.figures.height;
</script>

<ul>
	{#each worstFirst as station (station.label)}
		{@const remark = remarkOf(station)}
		{@const verdict = shownBy(station)}
		<li class="border-b border-hair">
			<Button
				look="cell"
				class="grid min-h-14 w-full grid-cols-[3.25rem_minmax(0,1fr)_auto] items-center gap-x-2 border-l-[5px] py-1.5 pr-1 pl-2 text-left {station.label ===
				selected
					? 'border-chromate bg-chromate-wash'
					: 'border-transparent'}"
				aria-haspopup="dialog"
				onclick={() => onselect(station.label)}
			>
				<span class="figure text-lg font-semibold">{station.label}</span>
				<span class="min-w-0">
					<span class="block text-[14px] leading-tight">
						{#if remark}
							<Mark state={remark.state} word /> {write(remark.text, bench.units)}
						{:else}
							<span class="text-soft">
								{stateInWords(station)}
							</span>
						{/if}
					</span>
					<span class="figure block text-[13px] text-soft">
						{FIGURES.map(
							(column) => showFigure(verdictIn(station, column.key), column, bench.units) ?? '·'
						).join(' · ')}
						{#if waiting.has(station.label)}<b class="text-watch">unsent</b>{/if}
					</span>
				</span>
				{#if verdict.figure !== null}
					<ScaleBar
						scale={scaleOf(verdict.figure, verdict.limits)}
						state={verdict.state}
						class=""
					/>
				{/if}
			</Button>
		</li>
	{/each}
</ul>
