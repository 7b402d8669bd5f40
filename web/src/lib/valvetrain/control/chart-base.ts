/** What the charts of valve control have in common. */
import type { ChartColours } from '$lib/charts/Chart.svelte';

export const base = ({ soft }: ChartColours) => ({
	animation: false,
	textStyle: { fontFamily: 'IBM Plex Mono, monospace' },
	grid: { left: 56, right: 24, top: 48, bottom: 44 },
	tooltip: { trigger: 'axis' },
	color: [soft]
});

export const axis = (name: string, { ink, soft, metal }: ChartColours, where: 'x' | 'y') => ({
	type: 'value',
	scale: where === 'x',
	name,
	nameLocation: where === 'x' ? 'middle' : 'end',
	nameGap: where === 'x' ? 28 : 12,
	nameTextStyle: { color: soft, ...(where === 'y' && { align: 'left' }) },
	axisLabel: { color: soft },
	axisLine: { lineStyle: { color: ink }, onZero: where === 'x' },
	splitLine: { show: where === 'y', lineStyle: { color: metal, opacity: 0.4 } }
});

export const legend = ({ soft }: ChartColours) => ({
	right: 8,
	top: 0,
	icon: 'rect',
	itemWidth: 18,
	itemHeight: 3,
	textStyle: { color: soft }
});

/** A line of a chart by its points. */
export const line = <Point extends readonly (number | string | null)[]>(
	name: string,
	color: string,
	data: readonly Point[],
	look: { readonly width?: number; readonly type?: 'solid' | 'dashed' | 'dotted' } = {}
) => ({
	type: 'line',
	name,
	showSymbol: false,
	data,
	lineStyle: { width: 2, ...look, color },
	itemStyle: { color }
});

/** A dashed line across at one value, with its name. */
export const markAt = (
	which: 'xAxis' | 'yAxis',
	marks: readonly { readonly at: number; readonly name: string }[],
	{ stop, soft }: ChartColours
) => ({
	silent: true,
	symbol: 'none',
	lineStyle: { color: stop, type: 'dashed' },
	label: { formatter: '{b}', color: soft, position: 'insideEndTop' },
	data: marks.map(({ at, name }) => ({ [which]: at, name }))
});
