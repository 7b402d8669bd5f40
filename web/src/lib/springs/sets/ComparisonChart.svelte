<script lang="ts">
	/** The curves of two springs over each other, with the window that they work in. */
	import { mm } from '@zinc-ledger/core';
	import type { Side } from './compare';
	import type { Point } from './sweep-chart';
	import SweepChart from './SweepChart.svelte';

	interface Props {
		pair: readonly [Side, Side];
		lift: number;
	}
	let { pair, lift }: Props = $props();
	const POINTS = 120;
	/** The curve that lies higher, whose name stands above it. */
	const stronger = $derived.by(() => {
		const [a, b] = pair.map(({ curve, height }) => curve.load(height) ?? 0) as [number, number];
		return b > a ? 1 : 0;
	});
	const pointsOf = ({ curve: { lowest, highest, load } }: Side): Point[] =>
		Array.from({ length: POINTS + 1 }, (_, i) => mm(lowest + ((highest - lowest) * i) / POINTS))
			.map((height) => [height, load(height) ?? 0] as const)
			.toReversed();
</script>

<SweepChart
	lines={pair.map((side, i) => ({
		name: side.name,
		points: pointsOf(side),
		chosen: i === 0,
		named: i === stronger ? ('above' as const) : ('below' as const)
	}))}
	seat={pair[0].height}
	{lift}
	name="{pair[0].name} beside {pair[1].name}"
/>
