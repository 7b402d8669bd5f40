<script lang="ts">
	/** All of a station's figures over the list, on a phone. */
	import type { StationSheet } from '@zinc-ledger/core';
	import StationDetail from './StationDetail.svelte';
	import Dialog from '$lib/ui/Dialog.svelte';

	let { open = $bindable(), station }: { open: boolean; station: StationSheet | undefined } =
		$props();
</script>

<Dialog bind:open from="below" quietTitle title="Station {station?.label}">
	{#if station}{#key station.label}<StationDetail {station} />{/key}{/if}
</Dialog>
