<script lang="ts">
	/** How far the sheet has come in one line: what stands, and what the rest wants, each a way there. */
	import { isAtHand, progressOf, type FigureName } from '@zinc-ledger/core';
	import { label, write } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import NeedLink from '$lib/sheet/needs/NeedLink.svelte';
	import { capital } from '$lib/ui/words';

	const store = getJobStore();
	const bench = getBench();
	const stations = $derived(
		store.sheet.stations.filter(({ label: station }) => isAtHand(store.job, station))
	);
	const progress = $derived(progressOf({ ...store.sheet, stations }));
	const named = (figures: readonly FigureName[]) =>
		capital(figures.map((name) => label('figure', name).toLowerCase()).join(', '));
	const all = $derived(stations.length);
</script>

{#if stations.length < store.sheet.stations.length}
	<p class="text-[13px]">
		Worked on: <b class="figure">{stations.map((station) => station.label).join(' ')}</b>. The rest
		is not looked at.
	</p>
{/if}
{#if progress.wants.length > 0}
	<p
		class="hidden flex-wrap gap-x-3 text-[13px] text-soft tablet:flex"
		aria-label="What the sheet still wants"
	>
		{#if progress.ready.length > 0}<span>{named(progress.ready)} ready.</span>{/if}
		{#each progress.wants as { need, figures, kinds, stations: at } (need.code)}
			<span>
				{named(figures)}:
				<NeedLink
					{need}
					{kinds}
					class="text-ink"
					title="{named(figures)} wants {write(need, bench.units)}"
				>
					{write(need, bench.units)}{kinds.length === 1
						? `, ${label('kind', kinds[0]!)}`
						: ''}</NeedLink
				>{at.length < all ? ` at ${at.length}` : ''}
			</span>
		{/each}
	</p>
{/if}
