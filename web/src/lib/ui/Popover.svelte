<script lang="ts">
	/**
	 * A small window that hangs from what opened it. What it takes is fetched once it is
	 * opened, and kept by the service worker; until then there is its trigger alone.
	 */
	import type { Snippet } from 'svelte';
	import type { ClassValue } from 'svelte/elements';
	import { LOOKS, type Look } from './looks';

	interface Props {
		open?: boolean;
		look?: Look;
		align?: 'start' | 'end';
		/** Names the trigger for tests and styles. */
		menu?: string;
		trigger: Snippet;
		class?: ClassValue;
		children: Snippet;
	}
	let { open = $bindable(false), look = 'quiet', menu, trigger, ...rest }: Props = $props();
	let wanted = $state(false);
	$effect.pre(() => {
		if (open) wanted = true;
	});
</script>

{#snippet shut()}
	<button
		type="button"
		class={['flex items-center gap-1.5', LOOKS[look]]}
		data-menu={menu}
		aria-haspopup="dialog"
		aria-expanded="false"
		onclick={() => (open = true)}
	>
		{@render trigger()}
	</button>
{/snippet}

{#if wanted}
	{#await import('./PopoverBox.svelte')}
		{@render shut()}
	{:then { default: PopoverBox }}
		<PopoverBox bind:open {look} {menu} {trigger} {...rest} />
	{/await}
{:else}
	{@render shut()}
{/if}
