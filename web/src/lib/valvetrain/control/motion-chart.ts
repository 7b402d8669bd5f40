/** The chart of one motion: lift above, forces below, over the crankshaft's angle. */
import { MM_PER, NEWTONS_PER, type Course, type CourseAt, type Units } from '@zinc-ledger/core';
import type { ChartColours } from '$lib/charts/Chart.svelte';
import { axis, base, legend, line } from './chart-base';

/** Cam and valve lift with the contact force beneath, as two grids of one chart. */
export const courseChart =
	({ points }: Course, units: Units) =>
	(colours: ChartColours) => {
		const [per, force] = [MM_PER[units.length], NEWTONS_PER[units.load]];
		const of = (figure: (one: CourseAt) => number, digits: number) =>
			points.map((one) => [Number(one.degree.toFixed(1)), Number(figure(one).toFixed(digits))]);
		const inGrid = (gridIndex: number) => ({ gridIndex });
		const ofGrid = (index: number) => ({ xAxisIndex: index, yAxisIndex: index });
		const x = axis('crank degrees from the nose', colours, 'x');
		return {
			...base(colours),
			axisPointer: { link: [{ xAxisIndex: 'all' }] },
			legend: legend(colours),
			grid: [
				{ left: 56, right: 24, top: 48, height: '36%' },
				{ left: 56, right: 24, bottom: 44, height: '27%' }
			],
			xAxis: [
				{ ...x, ...inGrid(0), name: '', axisLabel: { show: false } },
				{ ...x, ...inGrid(1) }
			],
			yAxis: [
				{ ...axis(`lift, ${units.length}`, colours, 'y'), ...inGrid(0), splitNumber: 3 },
				{ ...axis(`force, ${units.load}`, colours, 'y'), ...inGrid(1), splitNumber: 3 }
			],
			series: [
				{
					...line(
						'cam',
						colours.metal,
						of(({ cam }) => cam / per, 4),
						{ type: 'dashed' }
					),
					...ofGrid(0)
				},
				{
					...line(
						'valve',
						colours.ink,
						of(({ valve }) => Math.max(0, valve) / per, 4)
					),
					...ofGrid(0)
				},
				{
					...line(
						'contact',
						colours.stop,
						of((one) => one.force / force, 0)
					),
					...ofGrid(1)
				},
				{
					...line(
						'seat',
						colours.soft,
						of(({ seat }) => seat / force, 0),
						{ width: 1 }
					),
					...ofGrid(1)
				}
			]
		};
	};
