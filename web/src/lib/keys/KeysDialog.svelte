<script lang="ts">
	import Key from '$lib/ui/Key.svelte';
	import Switch from '$lib/ui/Switch.svelte';
	import { letterKeys, type Keys } from './keys.svelte';
	import Dialog from '$lib/ui/Dialog.svelte';

	let { keys }: { keys: Keys } = $props();
</script>

<Dialog bind:open={keys.open} title="Keys of this screen">
	<dl class="grid grid-cols-[10rem_1fr] gap-y-2">
		{#each keys.all as { keys: pressed, does } (does)}
			<dt class="flex gap-1.5">
				{#each pressed as key (key)}<Key>{key}</Key>{/each}
			</dt>
			<dd>{does}</dd>
		{/each}
	</dl>
	<div class="mt-3 border-t border-rule pt-2">
		<Switch checked={letterKeys.on} onchange={(on) => letterKeys.turn(on)}>
			Keys that are single letters, figures or signs
		</Switch>
	</div>
</Dialog>
