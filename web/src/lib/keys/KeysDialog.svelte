<script lang="ts">
	import { Dialog } from 'bits-ui';
	import Key from '$lib/ui/Key.svelte';
	import type { Keys } from './keys.svelte';

	let { keys }: { keys: Keys } = $props();
</script>

<Dialog.Root bind:open={keys.open}>
	<Dialog.Portal>
		<Dialog.Overlay class="fixed inset-0 bg-black/40" />
		<Dialog.Content
			class="fixed top-20 left-1/2 w-[30rem] max-w-[92vw] -translate-x-1/2 border border-rule bg-paper p-6"
		>
			<Dialog.Title class="mb-3 border-b-2 border-ink pb-2 text-lg font-semibold">
				Keys of this screen
			</Dialog.Title>
			<dl class="grid grid-cols-[10rem_1fr] gap-y-2">
				{#each keys.all as { keys: pressed, does } (does)}
					<dt class="flex gap-1.5">
						{#each pressed as key (key)}<Key>{key}</Key>{/each}
					</dt>
					<dd>{does}</dd>
				{/each}
			</dl>
			<Dialog.Close class="button mt-5">Close</Dialog.Close>
		</Dialog.Content>
	</Dialog.Portal>
</Dialog.Root>
