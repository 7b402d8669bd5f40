<script lang="ts">
	/**
	 * Load over height: sweeps, the card's line, the straight line from seat to
	 * open, the bind with its band, and the working window, which is dragged
	 * along the curve; so is the bind.
	 */
	import { onMount } from 'svelte';
	import {
		mm,
		MM_PER,
		newtons,
		NEWTONS_PER,
		showLength,
		showLoad,
		type Curve
	} from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { drawn } from './drawn';

	interface Line {
		readonly name: string;
		readonly points: readonly (readonly [height: number, load: number])[];
		readonly chosen: boolean;
	}
	interface Props {
		lines: readonly Line[];
		/** The card's line, height and load. */
		card?: readonly (readonly [number, number])[];
		curve?: Curve | null;
		seat: number;
		lift: number;
		bind?: { height: number; from: number; to: number } | null;
		onseat?: (seat: number) => void;
		onbind?: (height: number) => void;
		name: string;
	}
	let {
		lines,
		card = [],
		curve = null,
		seat,
		lift,
		bind = null,
		onseat,
		onbind,
		name
	}: Props = $props();
	const MARGIN = { left: 56, right: 18 };
	const bench = getBench();
	let element: HTMLDivElement;
	let chart: import('echarts/core').ECharts | undefined;
	let library: typeof import('./echarts') | undefined;
	let dragging: 'window' | 'bind' | null = null;
	let grabbedAt = 0;

	const perLength = $derived(MM_PER[bench.units.length]);
	const perLoad = $derived(NEWTONS_PER[bench.units.load]);
	/** The heights in view, when the chart is zoomed into. */
	let view = $state.raw<readonly [lowest: number, highest: number] | null>(null);
	const shown = (points: readonly (readonly [number, number])[]) =>
		drawn(points, ...(view ?? [])).map(([height, load]) => [height / perLength, load / perLoad]);
	const dense = $derived(
		lines.map(({ name: line, points, chosen }) => ({ name: line, chosen, data: shown(points) }))
	);
	const colour = (token: string) =>
		getComputedStyle(element).getPropertyValue(token).trim() || '#444';

	const option = $derived.by(() => {
		const [ends, straight] = [[seat, seat - lift], [] as [number, number][]];
		for (const height of ends) {
			const load = curve?.load(mm(height));
			if (load != null) straight.push([height, load]);
		}
		return { dense, card, straight, seat, lift, bind, perLength, perLoad };
	});

	function draw() {
		if (!chart || !element) return;
		const { straight } = option;
		const ink = colour('--chart-ink');
		const soft = colour('--chart-soft');
		const metal = colour('--chart-metal');
		const mark = (at: number) => at / perLength;
		chart.setOption(
			{
				animation: false,
				textStyle: { fontFamily: 'IBM Plex Mono, monospace' },
				grid: { left: MARGIN.left, right: MARGIN.right, top: 30, bottom: 44 },
				xAxis: {
					type: 'value',
					inverse: true,
					scale: true,
					name: `height, ${bench.units.length}`,
					nameLocation: 'middle',
					nameGap: 28,
					nameTextStyle: { color: soft },
					axisLabel: {
						color: soft,
						formatter: (value: number) => value.toFixed(bench.units.length === 'in' ? 2 : 0)
					},
					axisLine: { lineStyle: { color: ink } },
					splitLine: { show: false }
				},
				yAxis: {
					type: 'value',
					name: `load, ${bench.units.load}`,
					nameTextStyle: { color: soft, align: 'left' },
					axisLabel: { color: soft },
					splitLine: { lineStyle: { color: metal, opacity: 0.4 } }
				},
				tooltip: {
					trigger: 'axis',
					axisPointer: { type: 'line' },
					formatter: (items: { seriesName: string; value: number[] }[]) =>
						items
							.slice(0, 3)
							.map(
								({ seriesName, value }) =>
									`${seriesName}: ${showLength(mm(value[0]! * perLength), bench.units)}, ${showLoad(newtons(value[1]! * perLoad), bench.units)}`
							)
							.join('<br>')
				},
				dataZoom: [
					{ type: 'inside', filterMode: 'none', zoomOnMouseWheel: true, moveOnMouseMove: 'shift' }
				],
				series: [
					...dense.map((line) => ({
						type: 'line',
						name: line.name,
						data: line.data,
						showSymbol: false,
						lineStyle: { width: line.chosen ? 2.2 : 1, color: line.chosen ? ink : metal },
						z: line.chosen ? 5 : 2
					})),
					{
						type: 'line',
						name: 'card',
						data: shown(card),
						showSymbol: false,
						lineStyle: { width: 1.2, type: 'dashed', color: soft }
					},
					{
						type: 'line',
						name: 'seat to open',
						data: shown(straight),
						symbolSize: 9,
						symbol: 'circle',
						itemStyle: { color: ink },
						lineStyle: { width: 1, color: soft },
						z: 6,
						markArea: {
							silent: true,
							itemStyle: { color: colour('--chart-window'), opacity: 0.35 },
							data: [[{ xAxis: mark(seat) }, { xAxis: mark(seat - lift) }]]
						}
					},
					...(bind
						? [
								{
									type: 'line',
									name: 'bind',
									data: [],
									markArea: {
										silent: true,
										itemStyle: { color: colour('--chart-bind'), opacity: 0.25 },
										data: [[{ xAxis: mark(bind.from) }, { xAxis: mark(bind.to) }]]
									},
									markLine: {
										silent: true,
										symbol: 'none',
										label: { formatter: 'bind', color: colour('--chart-bind') },
										lineStyle: { color: colour('--chart-bind'), width: 2, type: 'solid' },
										data: [{ xAxis: mark(bind.height) }]
									}
								}
							]
						: [])
				]
			},
			{ replaceMerge: ['series'] }
		);
	}

	$effect(() => {
		void option;
		draw();
	});

	const heightAt = (x: number) => chart!.convertFromPixel({ xAxisIndex: 0 }, x) * perLength;
	const near = (height: number, at: number) => Math.abs(height - at) < 0.35;

	onMount(() => {
		let gone = false;
		const watcher = new ResizeObserver(() => chart?.resize());
		void import('./echarts').then((loaded) => {
			if (gone) return;
			library = loaded;
			chart = loaded.init(element, undefined, { renderer: 'canvas' });
			watcher.observe(element);
			draw();
			chart.on('datazoom', () => {
				const [left, right] = [heightAt(MARGIN.left), heightAt(element.clientWidth - MARGIN.right)];
				view = [Math.min(left, right), Math.max(left, right)];
			});
			const pointer = chart.getZr();
			pointer.on('mousedown', ({ offsetX }) => {
				const height = heightAt(offsetX);
				if (bind && onbind && near(height, bind.height)) dragging = 'bind';
				else if (onseat && height <= seat && height >= seat - lift) dragging = 'window';
				grabbedAt = height - seat;
			});
			pointer.on('mousemove', ({ offsetX }) => {
				if (dragging === 'window') onseat?.(heightAt(offsetX) - grabbedAt);
				if (dragging === 'bind') onbind?.(heightAt(offsetX));
			});
			for (const end of ['mouseup', 'globalout'] as const)
				pointer.on(end, () => {
					dragging = null;
				});
		});
		const scheme = new MutationObserver(draw);
		scheme.observe(document.documentElement, { attributeFilter: ['data-scheme'] });
		return () => {
			gone = true;
			watcher.disconnect();
			scheme.disconnect();
			chart?.dispose();
		};
	});

	/** The chart as a picture file. */
	function save(type: 'png' | 'svg') {
		if (!library || !chart) return;
		const off = document.createElement('div');
		const { width, height } = element.getBoundingClientRect();
		const copy = library.init(off, undefined, {
			renderer: type === 'svg' ? 'svg' : 'canvas',
			width,
			height,
			devicePixelRatio: 2
		});
		copy.setOption(chart.getOption());
		const link = document.createElement('a');
		link.download = `${name}.${type}`;
		link.href = copy.getDataURL({ type, backgroundColor: '#fff' });
		link.click();
		copy.dispose();
	}
</script>

<figure>
	<div
		bind:this={element}
		class="chart h-[300px] w-full"
		role="img"
		aria-label="Load over height of {lines.length} {lines.length === 1 ? 'sweep' : 'sweeps'}"
	></div>
	<figcaption class="flex flex-wrap gap-x-4 text-[13px] text-soft">
		{#if onseat}
			<span
				>Drag the window along the curve{onbind
					? ', or the bind line to where you see it'
					: ''}.</span
			>
		{/if}
		<span class="ml-auto flex gap-3">
			<button class="min-h-8 underline" onclick={() => save('png')}>PNG</button>
			<button class="min-h-8 underline" onclick={() => save('svg')}>SVG</button>
		</span>
	</figcaption>
</figure>

<style>
	.chart {
		--chart-ink: #171d1f;
		--chart-soft: #4f5a5e;
		--chart-metal: #9aa6a8;
		--chart-window: #e5c558;
		--chart-bind: #a9211c;
	}
	:global(:root[data-scheme='dark']) .chart {
		--chart-ink: #e8ecea;
		--chart-soft: #a9b4b6;
		--chart-metal: #5d696d;
		--chart-window: #7a6524;
		--chart-bind: #ff8d83;
	}
</style>
