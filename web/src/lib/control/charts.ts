/** What the charts of valve control show, as ECharts' options: plain values, worked out apart from the page. */
import {
	BAND,
	MM_PER,
	NEWTONS_PER,
	type BandEnd,
	type ControlSweep,
	type ForcesAt,
	type Units
} from '@zinc-ledger/core';
import type { ChartColours } from '$lib/charts/Chart.svelte';

const base = ({ soft }: ChartColours) => ({
	animation: false,
	textStyle: { fontFamily: 'IBM Plex Mono, monospace' },
	grid: { left: 56, right: 24, top: 48, bottom: 44 },
	tooltip: { trigger: 'axis' },
	color: [soft]
});

const axis = (name: string, { ink, soft, metal }: ChartColours, where: 'x' | 'y') => ({
	type: 'value',
	scale: where === 'x',
	name,
	nameLocation: where === 'x' ? 'middle' : 'end',
	nameGap: where === 'x' ? 28 : 12,
	nameTextStyle: { color: soft, ...(where === 'y' && { align: 'left' }) },
	axisLabel: { color: soft },
	axisLine: { lineStyle: { color: ink } },
	splitLine: { show: where === 'y', lineStyle: { color: metal, opacity: 0.4 } }
});

const legend = ({ soft }: ChartColours) => ({
	right: 8,
	top: 0,
	icon: 'rect',
	itemWidth: 18,
	itemHeight: 3,
	textStyle: { color: soft }
});

export type Over = 'lift' | 'angle';

/** Spring force and force needed over lift or cam angle; what lies between them is the margin. */
export const forcesChart =
	(forces: readonly ForcesAt[], over: Over, units: Units) => (colours: ChartColours) => {
		const per = NEWTONS_PER[units.load];
		// Over lift both flanks would lie on each other where they are alike: the opening one stands for both.
		const shown = over === 'lift' ? forces.filter(({ degree }) => degree <= 0) : forces;
		const at = (one: ForcesAt) => (over === 'lift' ? one.lift / MM_PER[units.length] : one.degree);
		const line = (name: string, color: string, of: (one: ForcesAt) => number | null) => ({
			type: 'line',
			name,
			showSymbol: false,
			data: shown.map((one) => {
				const force = of(one);
				return [Number(at(one).toFixed(4)), force === null ? null : Math.round(force / per)];
			}),
			lineStyle: { width: 2, color },
			itemStyle: { color }
		});
		return {
			...base(colours),
			xAxis: axis(
				over === 'lift' ? `valve lift, ${units.length}` : 'cam degrees from the nose',
				colours,
				'x'
			),
			yAxis: { ...axis(`force, ${units.load}`, colours, 'y'), min: 0 },
			legend: legend(colours),
			series: [
				line('spring', colours.ink, ({ spring }) => spring),
				line('needed', colours.stop, ({ needed }) => Math.max(0, needed))
			]
		};
	};

/** What is shown of a motion. */
export const MOTION_FIGURES = ['seating', 'bounce'] as const;
export type MotionFigure = (typeof MOTION_FIGURES)[number];

/** Seating velocity or bounce over engine speed, for the middle of the band and its ends. */
export const sweepChart =
	(sweep: ControlSweep, which: MotionFigure, highest: number | null) =>
	(colours: ChartColours) => ({
		...base(colours),
		legend: legend(colours),
		xAxis: axis('engine speed, rpm', colours, 'x'),
		yAxis: axis(which === 'seating' ? 'seating velocity, m/s' : 'bounce, µm', colours, 'y'),
		series: (Object.keys(BAND) as BandEnd[]).map((end) => {
			const color = { low: colours.stop, middle: colours.ink, high: colours.metal }[end];
			return {
				type: 'line',
				name: `${Math.round(100 * BAND[end])} %`,
				showSymbol: false,
				data: sweep.speeds.map((speed, i) => {
					const motion = sweep.motions[end][i];
					const value =
						which === 'seating' ? motion?.seatingVelocity : motion && motion.bounce * 1e6;
					return [Math.round(speed), value == null ? null : Number(value.toFixed(2))];
				}),
				lineStyle: { width: end === 'middle' ? 2.2 : 1, color },
				itemStyle: { color },
				...(end === 'middle' &&
					highest !== null && {
						markLine: {
							silent: true,
							symbol: 'none',
							lineStyle: { color: colours.stop, type: 'dashed' },
							label: { formatter: 'highest', color: colours.soft },
							data: [{ xAxis: highest }]
						}
					})
			};
		})
	});
