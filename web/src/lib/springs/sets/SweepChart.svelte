<script lang="ts">
	/**
	 * Load over height: sweeps, the card's line, the straight line from seat to
	 * open, the bind with its band, and the working window, which is dragged
	 * along the curve; so is the bind.
	 */
	import { onMount } from 'svelte';
	import { mm, MM_PER, type Curve } from '@zinc-ledger/core';
	import { getBench } from '$lib/bench/bench.svelte';
	import { drawn } from './drawn';
	import {
		MARGIN,
		sweepChart,
		type BindBand,
		type Line,
		type Point,
		type SweepView
	} from './sweep-chart';
	import Button from '$lib/ui/Button.svelte';

	interface Props {
		lines: readonly Line[];
		/** The card's line, height and load. */
		card?: readonly Point[];
		curve?: Curve | null;
		seat: number;
		lift: number;
		bind?: BindBand | null;
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
	const bench = getBench();
	let element: HTMLDivElement;
	let chart: import('echarts/core').ECharts | undefined;
	let library: typeof import('$lib/charts/echarts') | undefined;
	let dragging: 'window' | 'bind' | null = null;
	let grabbedAt = 0;

	const perLength = $derived(MM_PER[bench.units.length]);
	/** The heights in view, when the chart is zoomed into. */
	let view = $state.raw<readonly [lowest: number, highest: number] | null>(null);
	const thinned = (points: readonly Point[]) => drawn(points, ...(view ?? []));
	const shown = $derived<SweepView>({
		lines: lines.map((line) => ({ ...line, points: thinned(line.points) })),
		card: thinned(card),
		straight: [seat, seat - lift].flatMap((height): Point[] => {
			const load = curve?.load(mm(height));
			return load == null ? [] : [[height, load]];
		}),
		seat,
		lift,
		bind
	});
	const colour = (token: string) =>
		getComputedStyle(element).getPropertyValue(`--chart-${token}`).trim() || '#444';

	function draw() {
		if (!chart || !element) return;
		const colours = {
			ink: colour('ink'),
			soft: colour('soft'),
			metal: colour('metal'),
			window: colour('window'),
			bind: colour('bind')
		};
		chart.setOption(sweepChart(shown, bench.units, colours), { replaceMerge: ['series'] });
	}

	$effect(() => {
		void [shown, bench.units];
		draw();
	});

	const heightAt = (x: number) => chart!.convertFromPixel({ xAxisIndex: 0 }, x) * perLength;
	const near = (height: number, at: number) => Math.abs(height - at) < 0.35;

	onMount(() => {
		let gone = false;
		const watcher = new ResizeObserver(() => chart?.resize());
		void import('$lib/charts/echarts').then((loaded) => {
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
			<Button onclick={() => save('png')} look="quiet">PNG</Button>
			<Button onclick={() => save('svg')} look="quiet">SVG</Button>
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
