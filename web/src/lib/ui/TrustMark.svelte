<script lang="ts">
	/** What a figure stands on, in a mark: filled, half, open, or a question; one element, as a sheet has hundreds. */
	import type { Trust } from '@zinc-ledger/core';
	import { label } from '@zinc-ledger/words';

	let { trust, word = false }: { trust: Trust; word?: boolean } = $props();
	const ROUND = 'inline-block size-[8px] rounded-full border border-current';
	const MARKS: Readonly<Record<Trust, string>> = {
		tested: `${ROUND} bg-current`,
		set: `${ROUND} bg-linear-to-r from-current from-50% to-transparent to-50%`,
		card: ROUND,
		hearsay: 'text-[11px] font-semibold'
	};
</script>

{#snippet mark(name: string | undefined)}
	<span
		class={['text-soft', MARKS[trust]]}
		role={name ? 'img' : undefined}
		aria-label={name}
		data-trust={trust}>{trust === 'hearsay' ? '?' : ''}</span
	>
{/snippet}

{#if word}
	<span class="inline-flex items-center gap-1.5 text-soft">
		{@render mark(undefined)}{label('trust', trust)}
	</span>
{:else}
	{@render mark(label('trust', trust))}
{/if}
