<script lang="ts">
	/** What a figure stands on, in a mark: filled, half, open, or a question. */
	import type { Trust } from '@zinc-ledger/core';
	import { label } from '@zinc-ledger/words';

	let { trust, word = false }: { trust: Trust; word?: boolean } = $props();
</script>

<span class="inline-flex items-center gap-1 text-soft" data-trust={trust}>
	<svg viewBox="0 0 10 10" class="size-[9px] flex-none" aria-hidden="true">
		{#if trust === 'hearsay'}
			<path
				d="M2.6 3.2a2.4 2.4 0 1 1 3.3 2.3q-.9.4-.9 1.3M5 8.4v1"
				fill="none"
				stroke="currentColor"
				stroke-width="1.3"
			/>
		{:else}
			<circle
				cx="5"
				cy="5"
				r="3.6"
				fill={trust === 'tested' ? 'currentColor' : 'none'}
				stroke="currentColor"
				stroke-width="1.2"
			/>
			{#if trust === 'set'}<path d="M5 1.4a3.6 3.6 0 0 0 0 7.2z" fill="currentColor" />{/if}
		{/if}
	</svg>
	<span class={word ? '' : 'sr-only'}>{label('trust', trust)}</span>
</span>
