<script lang="ts">
	/** The head in one line: seat loads, the least margins, and what to measure next. */
	import { KINDS } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getBook } from '$lib/job/book.svelte';
	import Key from '$lib/ui/Key.svelte';

	/** The station to measure next. */
	let { nextToMeasure }: { nextToMeasure: string | undefined } = $props();
	const book = getBook();
	const bench = getBench();
</script>

<footer class="flex flex-wrap gap-x-5 gap-y-1 border-t-2 border-ink py-2 text-[13px] text-soft">
	{#if book.sheet.measured['installed-height'] > 0}
		<span>
			Seat loads
			{#each KINDS as kind (kind)}
				{@const range = book.sheet.seatLoads[kind]}
				{#if range}
					<b class="figure ml-1.5 font-medium text-ink">
						{kind === 'intake' ? 'I' : 'E'}
						{bench.load(range.least)}–{bench.load(range.most)}
					</b>
				{/if}
			{/each}
		</span>
	{/if}
	{#if book.sheet.least.bindMargin}
		<span>
			Min bind margin
			<b class="figure font-medium text-ink">
				{bench.length(book.sheet.least.bindMargin.figure)} · {book.sheet.least.bindMargin.station}
			</b>
		</span>
	{/if}
	{#if book.sheet.least.sealClearance}
		<span>
			Min seal clearance
			<b class="figure font-medium text-ink">
				{bench.length(book.sheet.least.sealClearance.figure)} · {book.sheet.least.sealClearance
					.station}
			</b>
		</span>
	{/if}
	{#if nextToMeasure}
		<a
			class="ml-auto flex min-h-11 items-center gap-1.5 bench:min-h-0"
			href="/jobs/{book.job.id}/round?of=installed-height"
		>
			Measure next <b class="figure font-medium text-ink">{nextToMeasure}</b>
			<Key>h</Key>
		</a>
	{/if}
</footer>
