<script lang="ts">
	/** The height that loads are told at, moved along the curve; and a bind that was placed by eye. */
	import { lengthOf, lengthText, mm } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';

	interface Props {
		seat: number;
		/** The set's own height, as it was written. */
		own: string;
		/** A bind that is being placed, in mm. */
		placing: number | null;
		/** Keeps the bind that was placed. */
		onset: (bind: string) => void;
	}
	let { seat = $bindable(), own, placing = $bindable(), onset }: Props = $props();
	const bench = getBench();
</script>

<div class="mt-1 flex flex-wrap items-center gap-x-4 text-[13px]">
	<label class="flex items-center gap-2">
		Height
		<input
			type="range"
			class="w-52"
			min={lengthOf(own) - 3}
			max={lengthOf(own) + 3}
			step="0.01"
			bind:value={seat}
			aria-label="Working height"
		/>
		<b class="figure">{bench.length(mm(seat))}</b>
	</label>
	{#if seat !== lengthOf(own)}
		<button class="min-h-11 bench:min-h-9 underline" onclick={() => (seat = lengthOf(own))}>
			Back to {own}
		</button>
	{/if}
	{#if placing !== null}
		<span class="ml-auto">Bind at <b class="figure">{bench.length(mm(placing))}</b>?</span>
		<button
			class="button !min-h-9"
			onclick={() => onset(lengthText(mm(placing!), bench.units.length))}
		>
			Set bind
		</button>
		<button class="min-h-11 bench:min-h-9 underline" onclick={() => (placing = null)}>Cancel</button
		>
	{/if}
</div>
