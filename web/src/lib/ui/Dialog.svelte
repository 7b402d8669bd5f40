<script lang="ts">
	/**
	 * What opens over the page: in its middle, beside what it is about, or from below as a sheet, as a phone does.
	 * What it takes is fetched once something is opened, and kept by the service worker.
	 */
	import type { Snippet } from 'svelte';

	interface Props {
		open: boolean;
		title: string;
		/** Where what is inside has a heading of its own. */
		quietTitle?: boolean;
		from?: 'middle' | 'below' | 'side';
		children: Snippet;
	}
	let { open = $bindable(), ...rest }: Props = $props();
	let wanted = $state(false);
	$effect.pre(() => {
		if (open) wanted = true;
	});
</script>

{#if wanted}
	{#await import('./DialogBox.svelte') then { default: DialogBox }}
		<DialogBox bind:open {...rest} />
	{/await}
{/if}
