<script lang="ts">
	/** What went wrong, said at its place and told to those who listen; nothing where nothing did. */
	import type { Snippet } from 'svelte';
	import type { ClassValue } from 'svelte/elements';

	interface Props {
		problem?: string | null | undefined;
		/** More than a sentence: stands behind a bar of its colour. */
		look?: 'line' | 'stop' | 'watch';
		class?: ClassValue;
		children?: Snippet;
	}
	let { problem, look = 'line', class: extra = '', children }: Props = $props();
	const LOOKS = {
		line: 'font-semibold text-stop',
		stop: 'border-l-4 border-stop py-1 pl-4',
		watch: 'border-l-4 border-watch py-1 pl-3'
	} as const;
</script>

{#if problem || children}
	<svelte:element
		this={look === 'line' ? 'p' : 'section'}
		role="alert"
		class={[LOOKS[look], extra]}
	>
		{problem ?? ''}{@render children?.()}
	</svelte:element>
{/if}
