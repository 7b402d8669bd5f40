<script lang="ts">
	/** The kit that a job is built from, for both kinds in one choice. */
	import {
		kitOf,
		withKit,
		type Job,
		type Kit,
		type LibraryPart,
		type Setup
	} from '@zinc-ledger/core';
	import Combobox from '$lib/ui/Combobox.svelte';
	import BoxCheck from './BoxCheck.svelte';

	interface Props {
		kits: readonly Kit[];
		library: readonly LibraryPart[];
		setup: Setup;
		stations: Job['stations'];
		ontake: (setup: Setup) => void;
	}
	let { kits, library, setup, stations, ontake }: Props = $props();
	const kit = $derived(kits.find(({ id }) => id === kitOf(setup)?.id));

	function take(id: string) {
		const chosen = kits.find((one) => one.id === id);
		if (chosen) ontake(withKit(setup, chosen, new Map(library.map((one) => [one.part.id, one]))));
	}
</script>

<div class="grid items-center gap-x-3 pt-2 tablet:grid-cols-[6rem_minmax(0,1fr)]">
	<span class="text-[13px] text-soft">Kit, for both</span>
	<Combobox
		aria-label="Kit, for intakes and exhausts"
		remember="kit"
		placeholder="none"
		options={kits.map(({ id, name, maker }) => ({ value: id, label: name, note: maker }))}
		bind:value={() => kitOf(setup)?.id ?? '', take}
	/>
</div>
{#if kit}<BoxCheck {kit} {stations} />{/if}
