<script lang="ts" module>
	/** What a chart is drawn in: the sheet's own ink, in the light or dark of the page. */
	export interface ChartColours {
		readonly paper: string;
		readonly ink: string;
		readonly soft: string;
		readonly metal: string;
		readonly window: string;
		readonly stop: string;
	}
</script>

<script lang="ts">
	/** A chart of ECharts that follows its figures, its room, and light or dark. */
	import { onMount } from 'svelte';

	interface Props {
		/** ECharts' option, in these colours. */
		option: (colours: ChartColours) => Record<string, unknown>;
		/** What it shows, for those who only hear it. */
		label: string;
		/** For several charts in one. */
		tall?: boolean;
	}
	let { option, label, tall = false }: Props = $props();
	let element: HTMLDivElement;
	let chart: import('echarts/core').ECharts | undefined;

	const colour = (token: string) =>
		getComputedStyle(element).getPropertyValue(`--chart-${token}`).trim() || '#444';
	function draw(with_: Props['option']) {
		if (!chart || !element) return;
		const colours = {
			paper: colour('paper'),
			ink: colour('ink'),
			soft: colour('soft'),
			metal: colour('metal'),
			window: colour('window'),
			stop: colour('stop')
		};
		chart.setOption(with_(colours), { replaceMerge: ['series'] });
	}
	$effect(() => draw(option));

	onMount(() => {
		let gone = false;
		const watcher = new ResizeObserver(() => chart?.resize());
		void import('./echarts').then((library) => {
			if (gone) return;
			chart = library.init(element, undefined, { renderer: 'canvas' });
			watcher.observe(element);
			draw(option);
		});
		const scheme = new MutationObserver(() => draw(option));
		scheme.observe(document.documentElement, { attributeFilter: ['data-scheme'] });
		return () => {
			gone = true;
			watcher.disconnect();
			scheme.disconnect();
			chart?.dispose();
		};
	});
</script>

<div
	bind:this={element}
	class={['chart w-full', tall ? 'h-[420px]' : 'h-[280px]']}
	role="img"
	aria-label={label}
></div>

<style>
	.chart {
		--chart-paper: #f6f7f5;
		--chart-ink: #171d1f;
		--chart-soft: #4f5a5e;
		--chart-metal: #9aa6a8;
		--chart-window: #e5c558;
		--chart-stop: #a9211c;
	}
	:global(:root[data-scheme='dark']) .chart {
		--chart-paper: #1c2224;
		--chart-ink: #e8ecea;
		--chart-soft: #a9b4b6;
		--chart-metal: #5d696d;
		--chart-window: #7a6524;
		--chart-stop: #ff8d83;
	}
</style>
