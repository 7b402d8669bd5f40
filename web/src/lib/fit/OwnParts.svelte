<script lang="ts">
	/** Stations that have a part of their own in place of their kind's. */
	import {
		SORT_OF,
		STATION_PARTS,
		type LibraryPart,
		type StationPart,
		type StationParts
	} from '@zinc-ledger/core';
	import { getBook } from '$lib/job/book.svelte';
	import { label } from '@zinc-ledger/words';
	import { capital } from '$lib/ui/words';

	let { library }: { library: readonly LibraryPart[] } = $props();
	const book = getBook();
	let station = $state('');
	let place = $state<StationPart>('locks');
	let chosen = $state('');
	let problem = $state<string | null>(null);

	const own = $derived(book.job.stations.filter((entry) => entry.parts));
	const choices = $derived(library.filter((part) => part.sort === SORT_OF[place] && !part.retired));

	async function add(event: SubmitEvent) {
		event.preventDefault();
		const entry = book.job.stations.find(({ label }) => label === station);
		const part = choices.find((choice) => choice.part.id === chosen)?.part;
		if (!entry || !part) {
			problem = 'Choose a station and a part.';
			return;
		}
		problem = await book.setParts(station, { ...entry.parts, [place]: part } as StationParts);
	}

	async function drop(label: string, from: StationPart) {
		const entry = book.job.stations.find((one) => one.label === label)!;
		const { [from]: _, ...rest } = entry.parts!;
		problem = await book.setParts(label, Object.keys(rest).length > 0 ? rest : null);
	}
</script>

<section aria-label="Per-valve overrides" class="text-[13px]">
	<h2 class="border-b border-ink pb-1 font-semibold">Per-valve overrides</h2>
	{#each own as entry (entry.label)}
		{#each STATION_PARTS.filter((one) => entry.parts?.[one]) as one (one)}
			<p class="flex items-center gap-3 border-b border-hair">
				<b class="figure w-10">{entry.label}</b>
				{capital(label('slot', one))}: {entry.parts?.[one]?.name}
				<button
					class="ml-auto min-h-11 bench:min-h-9 underline"
					aria-label="{entry.label}: back to its kind’s {capital(label('slot', one))}"
					onclick={() => drop(entry.label, one)}>Remove</button
				>
			</p>
		{/each}
	{/each}
	<form class="mt-2 grid grid-cols-[5rem_7rem_1fr_auto] gap-2" onsubmit={add}>
		<select class="field figure" aria-label="Station" bind:value={station}>
			<option value="">valve</option>
			{#each book.job.stations as entry (entry.label)}<option>{entry.label}</option>{/each}
		</select>
		<select class="field" aria-label="Place of its own part" bind:value={place}>
			{#each STATION_PARTS as one (one)}<option value={one}>{capital(label('slot', one))}</option
				>{/each}
		</select>
		<select class="field" aria-label="Its own part" bind:value={chosen}>
			<option value="">choose</option>
			{#each choices as { part } (part.id)}<option value={part.id}>{part.name}</option>{/each}
		</select>
		<button class="button">Set</button>
	</form>
	{#if problem}<p role="alert" class="mt-1 font-semibold text-stop">{problem}</p>{/if}
</section>
