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
	const max = $derived(Math.max(1e-6, ...points.map(({ residual }) => Math.abs(residual))));
	const [low, high] = $derived([
		Math.min(...points.map(({ at }) => at)),
		Math.max(...points.map(({ at }) => at))
	]);
	/** The scale's end: a round figure that holds them all. */
	const end = $derived(max * 1.25);
	const x = (at: number) => 70 + ((at - low) / (high - low || 1)) * 400;
	const y = (residual: number) => 62 - (residual / end) * 46;
	const signed = (value: number) =>
		`${value > 0 ? '+' : value < 0 ? '−' : ''}${show(Math.abs(value))}`;
</script>

<figure class="mt-3">
	<svg
		viewBox="0 0 500 150"
		class="figure w-full max-w-xl"
		role="img"
		aria-label="What is left after the correction: {points
			.map(({ at, residual }) => `${signed(residual)} at ${show(at)}`)
			.join(', ')}"
	>
		<rect x="56" y="16" width="428" height="92" class="fill-cast" />
		{#each [end, 0, -end] as level (level)}
			<line
				x1="56"
				x2="484"
				y1={y(level)}
				y2={y(level)}
				class={level === 0 ? 'stroke-ink' : 'stroke-rule'}
			/>
			<text x="50" y={y(level) + 4} text-anchor="end" class="fill-soft text-[12px]">
				{signed(level)}
			</text>
		{/each}
		{#each points as { at, residual }, i (i)}
			<line
				x1={x(at)}
				x2={x(at)}
				y1={y(0)}
				y2={y(residual)}
				class="stroke-metal-dark"
				stroke-width="2"
			/>
			<circle cx={x(at)} cy={y(residual)} r="5" class="fill-ink" />
			<text
				x={x(at)}
				y={residual >= 0 ? y(residual) - 9 : y(residual) + 18}
				text-anchor="middle"
				class="fill-ink stroke-cast text-[13px]"
				stroke-width="4"
				paint-order="stroke"
			>
				{signed(residual)}
			</text>
			<text x={x(at)} y="126" text-anchor="middle" class="fill-soft text-[13px]">{show(at)}</text>
		{/each}
	</svg>
	<figcaption class="text-[13px] text-soft">
		{dimension === 'length' ? 'Heights' : 'Loads'} from {show(low)} to {show(high)}; at most
		<span class="figure">{show(max)}</span> left after the correction
	</figcaption>
</figure>
