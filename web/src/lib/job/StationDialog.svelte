<script lang="ts">
	/** All of a station's figures over the list, on a phone. */
	import { Dialog } from 'bits-ui';
	import type { StationSheet } from '@zinc-ledger/core';
	import StationDetail from './StationDetail.svelte';

	let { open = $bindable(), station }: { open: boolean; station: StationSheet | undefined } =
		$props();
</script>

<Dialog.Root bind:open>
	<Dialog.Portal>
		<Dialog.Overlay class="fixed inset-0 z-20 bg-black/40" />
		<Dialog.Content
			class="fixed inset-x-0 bottom-0 z-30 max-h-[88dvh] overflow-y-auto bg-paper px-4 pt-3 pb-6"
		>
			<Dialog.Title class="sr-only">Station {station?.label}</Dialog.Title>
			{#if station}{#key station.label}<StationDetail {station} />{/key}{/if}
			<Dialog.Close class="button mt-4 w-full justify-center">Close</Dialog.Close>
		</Dialog.Content>
	</Dialog.Portal>
</Dialog.Root>
