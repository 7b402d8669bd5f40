/** A lobe and what its table says of it: lift, velocity, acceleration and jerk over the cam's angle. */
import { camDegrees, MM_PER, type LengthUnit, type Lobe, type TableLine } from '@zinc-ledger/core';
import type { ChartColours } from '$lib/charts/Chart.svelte';
import { axis, base, line } from '$lib/valvetrain/control/chart-base';

const POINTS = 240;

/** Four small charts of one lobe, its table's lines as dots on the first. */
export const lobeChart =
	(lobe: Lobe, table: readonly TableLine[], unit: LengthUnit) => (colours: ChartColours) => {
		const per = MM_PER[unit];
		const degree = camDegrees(1);
		const of = (figure: (at: ReturnType<Lobe['at']>) => number) =>
			Array.from({ length: POINTS + 1 }, (_, i) => {
				const angle = lobe.opens + ((lobe.closes - lobe.opens) * i) / POINTS;
				return [Number((angle / degree).toFixed(2)), figure(lobe.at(angle)) / per] as const;
			});
		const shown = [
			{ name: `lift, ${unit}`, data: of(({ lift }) => lift) },
			{ name: `velocity, ${unit}/°`, data: of(({ velocity }) => velocity * degree) },
			{ name: `acceleration, ${unit}/°²`, data: of((at) => at.acceleration * degree ** 2) },
			{ name: `jerk, ${unit}/°³`, data: of(({ jerk }) => jerk * degree ** 3) }
		];
		const place = (i: number) => ({
			left: i % 2 === 0 ? 70 : '61%',
			width: '35%',
			top: i < 2 ? 36 : '56%',
			height: '32%'
		});
		return {
			...base(colours),
			tooltip: { show: false },
			grid: shown.map((_, i) => place(i)),
			xAxis: shown.map((_, i) => ({
				...axis(i < 2 ? '' : 'cam degrees from the nose', colours, 'x'),
				gridIndex: i
			})),
			yAxis: shown.map(({ name }, i) => ({
				...axis(name, colours, 'y'),
				gridIndex: i,
				splitNumber: 3,
				axisLabel: {
					color: colours.soft,
					formatter: (value: number) => String(Number(value.toPrecision(2)))
				}
			})),
			series: [
				...shown.map(({ name, data }, i) => ({
					...line(name, colours.ink, data),
					xAxisIndex: i,
					yAxisIndex: i
				})),
				{
					...line(
						'table',
						colours.stop,
						table.map((one) => [one.degree, one.lift / per] as const)
					),
					lineStyle: { width: 0 },
					showSymbol: true,
					symbolSize: 3,
					xAxisIndex: 0,
					yAxisIndex: 0
				}
			]
		};
	};
