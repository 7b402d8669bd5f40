<script lang="ts">
	/** A thin scale: the band between the limits, and where the figure stands. */
	import type { Scale, State } from '@zinc-ledger/core';
	import { stateClass } from './state';

	interface Props {
		/** null where there is no limit to stand beside: nothing is drawn. */
		scale: Scale | null;
		state: State;
		class?: string;
	}
	let { scale, state, class: extra = 'ml-auto' }: Props = $props();
</script>

{#if scale}
	<svg
		viewBox="0 0 100 6"
		preserveAspectRatio="none"
		class="{extra} block h-1.5 w-[74px] {stateClass(state) || 'text-ink'}"
		aria-hidden="true"
	>
		<rect x="0" y="2.6" width="100" height="0.8" class="fill-rule" />
		<rect x={scale.from} y="1.5" width={scale.to - scale.from} height="3" class="fill-metal" />
		<rect x={scale.at - 1.4} y="0" width="2.8" height="6" fill="currentColor" />
	</svg>
{/if}
