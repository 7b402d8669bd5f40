<script lang="ts">
	/** A thin scale: the band between the limits, and where the figure stands; one element, as a sheet has hundreds. */
	import type { Scale, State } from '@zinc-ledger/core';
	import { stateClass } from './state';

	interface Props {
		/** null where there is no limit to stand beside: nothing is drawn. */
		scale: Scale | null;
		state: State;
		class?: string;
	}
	let { scale, state, class: extra = 'ml-auto' }: Props = $props();
	const HALF = 1.4;
	/** A stretch of the width in one colour, from and to in per cent. */
	const stretch = (colour: string, from: number, to: number) =>
		`linear-gradient(90deg, transparent ${from}%, ${colour} ${from}% ${to}%, transparent ${to}%)`;
	const drawn = $derived(
		scale &&
			[
				`${stretch('currentColor', scale.at - HALF, scale.at + HALF)} 0 0 / 100% 100% no-repeat`,
				`${stretch('var(--color-metal)', scale.from, scale.to)} 0 50% / 100% 3px no-repeat`,
				`linear-gradient(var(--color-rule) 0 0) 0 50% / 100% 1px no-repeat`
			].join(', ')
	);
</script>

{#if drawn}
	<span
		class="{extra} block h-1.5 w-[74px] [print-color-adjust:exact] {stateClass(state) ||
			'text-ink'}"
		style:background={drawn}
		aria-hidden="true"
	></span>
{/if}
