<script lang="ts">
	/** Stations that have a part of their own in place of their kind's. */
	import {
		TYPE_OF,
		STATION_PARTS,
		type LibraryPart,
		type StationPart,
		type StationParts
	} from '@zinc-ledger/core';
	import { getJobStore } from '$lib/job/store/job-store.svelte';
	import { label } from '@zinc-ledger/words';
	import { capital } from '$lib/ui/words';
	import Alert from '$lib/ui/Alert.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Select from '$lib/ui/Select.svelte';
	import Combobox from '$lib/ui/Combobox.svelte';
	import { plain } from '$lib/ui/options';

	let { library }: { library: readonly LibraryPart[] } = $props();
	const store = getJobStore();
	let station = $state('');
	let place = $state<StationPart>('locks');
	let chosen = $state('');
	let problem = $state<string | null>(null);

	const own = $derived(store.job.stations.filter((entry) => entry.parts));
	const choices = $derived(library.filter((part) => part.type === TYPE_OF[place] && !part.retired));

	async function add(event: SubmitEvent) {
		event.preventDefault();
		const entry = store.job.stations.find(({ label }) => label === station);
		const part = choices.find((choice) => choice.part.id === chosen)?.part;
		if (!entry || !part) {
			problem = 'Choose a station and a part.';
			return;
		}
		problem = await store.setParts(station, { ...entry.parts, [place]: part } as StationParts);
	}

	async function drop(label: string, from: StationPart) {
		const entry = store.job.stations.find((one) => one.label === label)!;
		const { [from]: _, ...rest } = entry.parts!;
		problem = await store.setParts(label, Object.keys(rest).length > 0 ? rest : null);
	}
</script>

<section aria-label="Per-valve overrides" class="text-[13px]">
	<h2 class="border-b border-ink pb-1 font-semibold">Per-valve overrides</h2>
	{#each own as entry (entry.label)}
		{#each STATION_PARTS.filter((one) => entry.parts?.[one]) as one (one)}
			<p class="flex items-center gap-3 border-b border-hair">
				<b class="figure w-10">{entry.label}</b>
				{capital(label('slot', one))}: {entry.parts?.[one]?.name}
				<Button
					aria-label="{entry.label}: back to its kind’s {capital(label('slot', one))}"
					onclick={() => drop(entry.label, one)}
					look="quiet"
					class="ml-auto">Remove</Button
				>
			</p>
		{/each}
	{/each}
	<form class="mt-2 grid grid-cols-[5rem_7rem_1fr_auto] gap-2" onsubmit={add}>
		<Select
			class="figure"
			aria-label="Station"
			options={[
				{ value: '', label: 'valve' },
				...plain(store.job.stations.map((entry) => entry.label))
			]}
			bind:value={station}
		/>
		<Select
			aria-label="Place of its own part"
			options={STATION_PARTS.map((one) => ({ value: one, label: capital(label('slot', one)) }))}
			bind:value={place}
			onchoose={() => (chosen = '')}
		/>
		<Combobox
			aria-label="Its own part"
			placeholder="choose"
			remember={TYPE_OF[place]}
			options={choices.map(({ part }) => ({ value: part.id!, label: part.name }))}
			bind:value={chosen}
		/>
		<Button>Set</Button>
	</form>
	<Alert {problem} class="mt-1" />
</section>
