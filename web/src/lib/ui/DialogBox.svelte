<script lang="ts">
	/** What is in an open dialog; see Dialog.svelte. */
	import { Dialog } from 'bits-ui';
	import type { Snippet } from 'svelte';
	import Button from './Button.svelte';
	import { OVERLAY } from './looks';

	interface Props {
		open: boolean;
		title: string;
		/** Where what is inside has a heading of its own. */
		quietTitle?: boolean;
		from?: 'middle' | 'below' | 'side';
		children: Snippet;
	}
	let {
		open = $bindable(),
		title,
		quietTitle = false,
		from = 'middle',
		children
	}: Props = $props();
	const PLACES = {
		middle:
			'top-20 left-1/2 w-[30rem] max-h-[88dvh] max-w-[92vw] -translate-x-1/2 border border-rule p-6',
		below: 'inset-x-0 bottom-0 max-h-[88dvh] px-4 pt-3 pb-6',
		side: 'inset-y-0 right-0 w-[26rem] max-w-[92vw] border-l border-rule p-6'
	} as const;
</script>

<Dialog.Root bind:open>
	<Dialog.Portal>
		<Dialog.Overlay class={OVERLAY} />
		<Dialog.Content class={['fixed z-30 overflow-y-auto bg-paper', PLACES[from]]}>
			<Dialog.Title
				class={quietTitle ? 'sr-only' : 'mb-1 border-b-2 border-ink pb-2 text-lg font-semibold'}
			>
				{title}
			</Dialog.Title>
			{@render children()}
			<Button
				type="button"
				class={['mt-4', from === 'below' && 'w-full justify-center']}
				onclick={() => (open = false)}>Close</Button
			>
		</Dialog.Content>
	</Dialog.Portal>
</Dialog.Root>
