<script lang="ts">
	/** One mark for several stations: which of them it stands for, each kept in its own name. */
	import Button from '$lib/ui/Button.svelte';
	import type { Ticking } from './ticking.svelte';

	let { ticking }: { ticking: Ticking } = $props();
	const { alike, together, leftOut } = $derived(ticking);
</script>

{#if alike.length > 1}
	<div class="mt-4 border-t border-rule pt-2">
		<p class="text-[13px] text-soft">The same at these stations; leave out where it is not done:</p>
		<div class="mt-1 flex flex-wrap gap-1" role="group" aria-label="Stations of this mark">
			{#each alike as { place } (place)}
				<Button
					type="button"
					look="cell"
					class="figure min-w-11 border border-rule px-1.5 text-center aria-pressed:border-chromate aria-pressed:bg-chromate-wash"
					aria-pressed={!leftOut.has(place)}
					onclick={() => ticking.take(place, leftOut.has(place))}>{place}</Button
				>
			{/each}
		</div>
		<Button
			type="button"
			class="mt-2"
			disabled={ticking.busy || together.length === 0}
			onclick={() => ticking.tickAll()}
			>Done at {together.map(({ place }) => place).join(', ')}</Button
		>
	</div>
{/if}
