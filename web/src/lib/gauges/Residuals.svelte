<script lang="ts">
	/** What each check leaves after the correction, on a small chart. */
	import { mm, newtons, showLength, showLoad } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';

	interface Props {
		dimension: 'length' | 'load';
		points: readonly { at: number; residual: number }[];
	}
	let { dimension, points }: Props = $props();
	const bench = getBench();
	const show = (value: number) =>
		dimension === 'length'
			? showLength(mm(value), bench.units)
			: showLoad(newtons(value), bench.units);
	const most = $derived(Math.max(1e-6, ...points.map(({ residual }) => Math.abs(residual))));
	const [low, high] = $derived([
		Math.min(...points.map(({ at }) => at)),
		Math.max(...points.map(({ at }) => at))
	]);
	const x = (at: number) => 30 + ((at - low) / (high - low || 1)) * 440;
	const y = (residual: number) => 45 - (residual / most) * 32;
</script>

<figure class="mt-3">
	<svg viewBox="0 0 500 90" class="w-full max-w-xl" role="img" aria-label="Residuals">
		<line x1="10" x2="490" y1="45" y2="45" class="stroke-ink" stroke-width="1" />
		{#each points as { at, residual }, i (i)}
			<line
				x1={x(at)}
				x2={x(at)}
				y1="45"
				y2={y(residual)}
				class="stroke-metal-dark"
				stroke-width="2"
			/>
			<circle cx={x(at)} cy={y(residual)} r="4" class="fill-ink" />
		{/each}
	</svg>
	<figcaption class="text-[13px] text-soft">
		{dimension === 'length' ? 'Heights' : 'Loads'} from {show(low)} to {show(high)}; at most
		<span class="figure">{show(most)}</span> left after the correction
	</figcaption>
</figure>
