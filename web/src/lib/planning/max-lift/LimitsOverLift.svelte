<script lang="ts">
	/** Every limit as a bar over the lift that it leaves, and the cam's own lift across them. */
	import type { Kind, LimitAt, Millimetres } from '@zinc-ledger/core';
	import { label } from '@zinc-ledger/words';
	import { getBench } from '$lib/bench/bench.svelte';
	import { capital } from '$lib/ui/words';

	interface Props {
		kind: Kind;
		limits: readonly LimitAt[];
		/** Valve lift of the cam; null where it is not given. */
		cam: Millimetres | null;
	}
	let { kind, limits, cam }: Props = $props();
	const { length } = getBench();
	const WIDTH = 900;
	const ROW = 34;
	const LEFT = 150;
	const x = $derived.by(() => {
		const max = Math.max(1, cam ?? 0, ...limits.map(({ lift }) => lift)) * 1.12;
		return (lift: number) => LEFT + (Math.max(0, lift) / max) * (WIDTH - LEFT - 90);
	});
	const height = $derived(limits.length * ROW + 26);
</script>

<svg
	viewBox="0 0 {WIDTH} {height}"
	class="mt-1 w-full max-w-5xl"
	role="img"
	aria-label="{kind} limits over lift"
>
	{#each limits as { limit, lift, station }, i (limit)}
		<text x="0" y={i * ROW + 21} class="fill-ink text-[13px]"
			>{capital(label('liftLimit', limit))}{station ? `, ${station}` : ''}</text
		>
		<rect
			x={LEFT}
			y={i * ROW + 8}
			width={x(lift) - LEFT}
			height="18"
			class={i === 0 ? 'fill-ink' : 'fill-metal'}
		/>
		<text x={x(lift) + 6} y={i * ROW + 22} class="figure fill-ink text-[13px]">{length(lift)}</text>
	{/each}
	{#if cam !== null}
		<!-- The light edge keeps the line in sight where it crosses a dark bar. -->
		<line x1={x(cam)} x2={x(cam)} y1="0" y2={height - 18} class="stroke-paper" stroke-width="5" />
		<line
			x1={x(cam)}
			x2={x(cam)}
			y1="0"
			y2={height - 18}
			class="stroke-ink"
			stroke-width="2"
			stroke-dasharray="4 3"
		/>
		<text x={x(cam)} y={height - 4} text-anchor="middle" class="figure fill-ink text-[13px]"
			>cam {length(cam)}</text
		>
	{/if}
</svg>
