<script lang="ts">
	/** The head in one line: seat loads, the least margins, and what to measure next. */
	import { COLUMNS, KINDS, TRUSTS, trustOf } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import Key from '$lib/ui/Key.svelte';
	import TrustMark from '$lib/ui/TrustMark.svelte';

	interface Props {
		/** The station to measure next. */
		nextToMeasure: string | undefined;
		/** Stations that a tagged spring was chosen for. */
		tagged: ReadonlySet<string>;
	}
	let { nextToMeasure, tagged }: Props = $props();
	const store = getJobStore();
	const bench = getBench();
	/** What the figures of this sheet stand on: the legend of their marks. */
	const trusts = $derived.by(() => {
		const there = new Set(
			store.sheet.stations.flatMap((station) =>
				COLUMNS.filter((column) => station.figures[column]?.figure != null).map((column) =>
					trustOf(station.shared, column, tagged.has(station.label))
				)
			)
		);
		return TRUSTS.filter((trust) => there.has(trust));
	});
</script>

<footer class="flex flex-wrap gap-x-5 gap-y-1 border-t-2 border-ink py-2 text-[13px] text-soft">
	{#if store.sheet.measured['installed-height'] > 0}
		<span>
			Seat loads
			{#each KINDS as kind (kind)}
				{@const range = store.sheet.seatLoads[kind]}
				{#if range}
					<b class="figure ml-1.5 font-medium text-ink">
						{kind === 'intake' ? 'I' : 'E'}
						{bench.load(range.min)}–{bench.load(range.max)}
					</b>
				{/if}
			{/each}
		</span>
	{/if}
	{#if store.sheet.min.bindMargin}
		<span>
			Min bind margin
			<b class="figure font-medium text-ink">
				{bench.length(store.sheet.min.bindMargin.figure)} · {store.sheet.min.bindMargin.station}
			</b>
		</span>
	{/if}
	{#if store.sheet.min.sealClearance}
		<span>
			Min seal clearance
			<b class="figure font-medium text-ink">
				{bench.length(store.sheet.min.sealClearance.figure)} · {store.sheet.min.sealClearance
					.station}
			</b>
		</span>
	{/if}
	{#if trusts.length > 0}
		<span class="hidden flex-wrap gap-x-3 tablet:flex" aria-label="What loads and margins stand on">
			{#each trusts as trust (trust)}<TrustMark {trust} word />{/each}
		</span>
	{/if}
	{#if nextToMeasure}
		<a
			class="ml-auto flex min-h-11 items-center gap-1.5 bench:min-h-0"
			href="/jobs/{store.job.id}/round?of=installed-height"
		>
			Measure next <b class="figure font-medium text-ink">{nextToMeasure}</b>
			<Key>h</Key>
		</a>
	{/if}
</footer>
