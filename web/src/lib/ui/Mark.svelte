<script lang="ts">
	/** The mark of a state: a shape of its own for each, so that it reads without colour. */
	import type { State } from '@zinc-ledger/core';
	import { label } from '@zinc-ledger/words';
	import { stateClass } from './state';

	let { state, word = false }: { state: State; word?: boolean } = $props();
</script>

{#if state !== 'clear' && state !== 'not-measured'}
	<span class="inline-flex items-baseline gap-1 font-semibold {stateClass(state)}">
		<svg viewBox="0 0 12 12" class="size-3 flex-none translate-y-px" aria-hidden="true">
			{#if state === 'stop'}
				<rect x="0.5" y="0.5" width="11" height="11" fill="currentColor" />
			{:else if state === 'watch'}
				<path d="M6 0.5 11.8 11.5H0.2Z" fill="currentColor" />
			{:else}
				<path d="M1 4.2h10M1 8.2h10" stroke="currentColor" stroke-width="2.2" />
			{/if}
		</svg>
		<span class={word ? '' : 'sr-only'}>{label('state', state)}</span>
	</span>
{/if}
