<script lang="ts">
	/** The height that loads are told at, moved along the curve; and a bind that was placed by eye. */
	import { lengthOf, lengthText, mm } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import Button from '$lib/ui/Button.svelte';
	import Slider from '$lib/ui/Slider.svelte';

	interface Props {
		seat: number;
		/** The set's own height, as it was written. */
		own: string;
		/** The lowest height of its sweep, where a bind is begun to be placed; null where there is none. */
		lowest: number | null;
		/** A bind that is being placed, in mm. */
		placing: number | null;
		/** Keeps the bind that was placed. */
		onset: (bind: string) => void;
	}
	let { seat = $bindable(), own, lowest, placing = $bindable(), onset }: Props = $props();
	const bench = getBench();
	const STEP = 0.01;
	/** So many steps on either side of the set's own height, which is one of them however fine it was written. */
	const STEPS = 300;
	const stepsOff = $derived(Math.round((seat - lengthOf(own)) / STEP));
	function move(steps: number) {
		if (steps !== stepsOff) seat = lengthOf(own) + steps * STEP;
	}
</script>

<div class="mt-1 flex flex-wrap items-center gap-x-4 text-[13px]">
	<div class="flex items-center gap-2">
		Height
		<Slider
			label="Working height"
			class="!w-52"
			min={-STEPS}
			max={STEPS}
			step={1}
			bind:value={() => stepsOff, (steps) => move(steps)}
			text="{bench.length(mm(seat))} {bench.units.length}"
		/>
		<b class="figure">{bench.length(mm(seat))}</b>
	</div>
	{#if seat !== lengthOf(own)}
		<Button onclick={() => (seat = lengthOf(own))} look="quiet">
			Back to {own}
		</Button>
	{/if}
	{#if placing === null && lowest !== null}
		<Button look="quiet" class="ml-auto" onclick={() => (placing = lowest)}>Place bind</Button>
	{:else if placing !== null}
		<div class="ml-auto flex items-center gap-2">
			Bind at
			<Slider
				label="Bind height"
				class="!w-40"
				min={Math.min(placing, lowest ?? placing)}
				max={lengthOf(own)}
				step={0.01}
				bind:value={() => placing ?? 0, (at) => (placing = at)}
				text="{bench.length(mm(placing))} {bench.units.length}"
			/>
			<b class="figure">{bench.length(mm(placing))}</b>?
		</div>
		<Button onclick={() => onset(lengthText(mm(placing!), bench.units.length))} small>
			Set bind
		</Button>
		<Button onclick={() => (placing = null)} look="quiet">Cancel</Button>
	{/if}
</div>
