<script lang="ts">
	/** What is in a popover that was opened; see Popover.svelte. */
	import { Popover } from 'bits-ui';
	import type { Snippet } from 'svelte';
	import type { ClassValue } from 'svelte/elements';
	import { LOOKS, type Look } from './looks';

	interface Props {
		open: boolean;
		look: Look;
		align?: 'start' | 'end';
		menu?: string | undefined;
		trigger: Snippet;
		class?: ClassValue;
		children: Snippet;
	}
	let {
		open = $bindable(),
		look,
		align = 'start',
		menu,
		trigger,
		class: extra = '',
		children
	}: Props = $props();
</script>

<Popover.Root bind:open>
	<Popover.Trigger class={['flex items-center gap-1.5', LOOKS[look]]} data-menu={menu}>
		{@render trigger()}
	</Popover.Trigger>
	<Popover.Portal>
		<Popover.Content
			{align}
			sideOffset={2}
			class={['z-30 max-w-[96vw] border border-rule bg-paper p-4 text-ink shadow-lg', extra]}
		>
			{@render children()}
		</Popover.Content>
	</Popover.Portal>
</Popover.Root>
