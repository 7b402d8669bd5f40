<script lang="ts">
	/** What need not be seen until it is asked for. */
	import ChevronRight from '@lucide/svelte/icons/chevron-right';
	import { Collapsible } from 'bits-ui';
	import type { Snippet } from 'svelte';
	import type { ClassValue } from 'svelte/elements';

	interface Props {
		title: string;
		/** What is set in it, in one line, while it is closed. */
		note?: string | undefined;
		open?: boolean;
		/** Whether what is in it stays there while it is closed, as fields of a form must. */
		keep?: boolean;
		class?: ClassValue;
		children: Snippet;
	}
	let {
		title,
		note,
		open = $bindable(false),
		keep = false,
		class: extra = '',
		children
	}: Props = $props();
</script>

<Collapsible.Root bind:open class={extra}>
	<Collapsible.Trigger
		class="flex min-h-11 bench:min-h-9 items-center gap-1.5 text-left font-semibold"
	>
		<ChevronRight size={15} class={['flex-none', open && 'rotate-90']} aria-hidden="true" />
		<span class="min-w-0"
			>{title}{#if note && !open}<span class="ml-2 text-[13px] font-normal text-soft">{note}</span
				>{/if}</span
		>
	</Collapsible.Trigger>
	{#if keep}
		<Collapsible.Content forceMount>
			{#snippet child({ props })}
				<div {...props} hidden={!open}>{@render children()}</div>
			{/snippet}
		</Collapsible.Content>
	{:else}
		<Collapsible.Content>{@render children()}</Collapsible.Content>
	{/if}
</Collapsible.Root>
