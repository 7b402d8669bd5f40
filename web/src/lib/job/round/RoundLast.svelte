<script lang="ts">
	/** The last figures of the round, each of which can be taken back. */
	import type { Quantity, Reading } from '@zinc-ledger/core';
	import { write } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import { outbox } from '$lib/outbox/outbox.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import type { Round } from './round.svelte';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';

	let { quantity, round }: { quantity: Quantity; round: Round } = $props();
	const store = getJobStore();
	const bench = getBench();
	const SHOWN = 4;
	let problem = $state<string | null>(null);

	const gone = $derived(new Set(store.job.voids.map(({ reading }) => reading)));
	const last = $derived(
		store.job.readings
			.filter((reading) => reading.quantity === quantity && !gone.has(reading.id))
			.toSorted((a, b) => Date.parse(b.at) - Date.parse(a.at))
			.slice(0, SHOWN)
	);
	const waits = (id: string) =>
		outbox.waiting.some((item) => item.reading.id === id && !item.refused);
	const remarkOf = (reading: Reading) =>
		store.station(reading.station)?.remarks.find(({ state }) => state !== 'not-measured');

	async function undo(reading: Reading) {
		if (!bench.person) return;
		problem = await store.voidReading(reading, 'taken back in the round', bench.person);
		if (problem === null) round.goTo(reading.station);
	}
</script>

{#if last.length > 0}
	<section class="mt-4 text-[13px]" aria-label="Last figures">
		<h2 class="text-soft">Last</h2>
		<ul class="border-t border-rule">
			{#each last as reading (reading.id)}
				{@const remark = remarkOf(reading)}
				<li
					class="grid min-h-11 grid-cols-[3rem_6rem_minmax(0,1fr)_auto] items-center gap-x-2 border-b border-hair"
				>
					<b class="figure text-[15px]">{reading.station}</b>
					<span class="figure">{reading.read}</span>
					<span class="truncate">
						{#if waits(reading.id)}<b class="text-watch">unsent</b>
						{:else if remark}<Mark state={remark.state} word />
							{write(remark.text, bench.units)}{/if}
					</span>
					{#if !waits(reading.id)}
						<Button onclick={() => undo(reading)} look="quiet" class="px-2">Undo</Button>
					{/if}
				</li>
			{/each}
		</ul>
		<Alert {problem} class="mt-1" />
	</section>
{/if}
