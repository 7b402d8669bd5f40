/** What the chart of sweeps shows, as ECharts' option: plain values, worked out apart from the page. */
import {
	mm,
	MM_PER,
	newtons,
	NEWTONS_PER,
	showLength,
	showLoad,
	type Units
} from '@zinc-ledger/core';

export type Point = readonly [height: number, load: number];

/** One sweep, thinned to what can be seen. */
export interface Line {
	readonly name: string;
	readonly points: readonly Point[];
	readonly chosen: boolean;
	/** Whether its name stands at its end, and on which side of it. */
	readonly named?: 'above' | 'below';
}

export interface BindBand {
	readonly height: number;
	readonly from: number;
	readonly to: number;
}

/** All that is shown, in mm and N. */
export interface SweepView {
	readonly lines: readonly Line[];
	/** The card's line. */
	readonly card: readonly Point[];
	/** Seat and open height with their loads. */
	readonly straight: readonly Point[];
	readonly seat: number;
	readonly lift: number;
	readonly bind: BindBand | null;
}

export interface Colours {
	readonly ink: string;
	readonly soft: string;
	readonly metal: string;
	readonly window: string;
	readonly bind: string;
}

export const MARGIN = { left: 56, right: 18 };

/** The chart, in somebody's units and colours. */
export function sweepChart(view: SweepView, units: Units, colours: Colours) {
	return {
		animation: false,
		textStyle: { fontFamily: 'IBM Plex Mono, monospace' },
		grid: { ...MARGIN, top: 30, bottom: 44 },
		...axes(units, colours),
		tooltip: tooltip(units),
		dataZoom: [
			{ type: 'inside', filterMode: 'none', zoomOnMouseWheel: true, moveOnMouseMove: 'shift' }
		],
		series: series(view, units, colours)
	};
}

function axes(units: Units, { ink, soft, metal }: Colours) {
	return {
		xAxis: {
			type: 'value',
			inverse: true,
			scale: true,
			name: `height, ${units.length}`,
			nameLocation: 'middle',
			nameGap: 28,
			nameTextStyle: { color: soft },
			axisLabel: {
				color: soft,
				formatter: (value: number) => value.toFixed(units.length === 'in' ? 2 : 0)
			},
			axisLine: { lineStyle: { color: ink } },
			splitLine: { show: false }
		},
		yAxis: {
			type: 'value',
			name: `load, ${units.load}`,
			nameTextStyle: { color: soft, align: 'left' },
			axisLabel: { color: soft },
			splitLine: { lineStyle: { color: metal, opacity: 0.4 } }
		}
	};
}

interface Pointed {
	readonly seriesName: string;
	readonly value: readonly number[];
}

function tooltip(units: Units) {
	const pointText = ({ seriesName, value: [height, load] }: Pointed) => {
		const length = showLength(mm(height! * MM_PER[units.length]), units);
		return `${seriesName}: ${length}, ${showLoad(newtons(load! * NEWTONS_PER[units.load]), units)}`;
	};
	return {
		trigger: 'axis',
		axisPointer: { type: 'line' },
		formatter: (pointed: readonly Pointed[]) => pointed.slice(0, 3).map(pointText).join('<br>')
	};
}

function series(view: SweepView, units: Units, colours: Colours) {
	const { lines, card, straight, seat, lift, bind } = view;
	const { ink, soft, metal } = colours;
	const at = (height: number) => height / MM_PER[units.length];
	const shown = (points: readonly Point[]) =>
		points.map(([height, load]) => [at(height), load / NEWTONS_PER[units.load]]);
	const area = (color: string, opacity: number, from: number, to: number) => ({
		silent: true,
		itemStyle: { color, opacity },
		data: [[{ xAxis: at(from) }, { xAxis: at(to) }]]
	});
	return [
		...lines.map(({ name, points, chosen, named }) => ({
			type: 'line',
			name,
			data: shown(points),
			showSymbol: false,
			lineStyle: { width: chosen ? 2.2 : 1, color: chosen ? ink : metal },
			endLabel: {
				show: named !== undefined,
				formatter: name,
				color: chosen ? ink : soft,
				offset: [-8, named === 'above' ? -10 : 14],
				align: 'right'
			},
			z: chosen ? 5 : 2
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
			markArea: area(colours.window, 0.35, seat, seat - lift)
		},
		...(bind
			? [
					{
						type: 'line',
						name: 'bind',
						data: [],
						markArea: area(colours.bind, 0.25, bind.from, bind.to),
						markLine: {
							silent: true,
							symbol: 'none',
							label: { formatter: 'bind', color: colours.bind },
							lineStyle: { color: colours.bind, width: 2, type: 'solid' },
							data: [{ xAxis: at(bind.height) }]
						}
					}
				]
			: [])
	];
}
