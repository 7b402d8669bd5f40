/** What the charts of valve control show, as ECharts' options: plain values, worked out apart from the page. */
import {
	MM_PER,
	NEWTONS_PER,
	type BandEnd,
	type ControlSweep,
	type ForcesAt,
	type Units
} from '@zinc-ledger/core';
import type { ChartColours } from '$lib/charts/Chart.svelte';
import { axis, base, legend, line, markAt } from './chart-base';

export type Over = 'lift' | 'angle';

/** Spring force and force needed over lift or cam angle; what lies between them is the margin. */
export const forcesChart =
	(forces: readonly ForcesAt[], over: Over, units: Units) => (colours: ChartColours) => {
		const per = NEWTONS_PER[units.load];
		// Over lift both flanks would lie on each other where they are alike: the opening one stands for both.
		const shown = over === 'lift' ? forces.filter(({ degree }) => degree <= 0) : forces;
		const at = (one: ForcesAt) => (over === 'lift' ? one.lift / MM_PER[units.length] : one.degree);
		const forceLine = (name: string, color: string, of: (one: ForcesAt) => number | null) =>
			line(
				name,
				color,
				shown.map((one) => {
					const force = of(one);
					return [
						Number(at(one).toFixed(4)),
						force === null ? null : Math.round(force / per)
					] as const;
				})
			);
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
				forceLine('spring', colours.ink, ({ spring }) => spring),
				forceLine('needed', colours.stop, ({ needed }) => Math.max(0, needed))
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
		series: (Object.keys(sweep.band) as BandEnd[]).map((end) => {
			const color = { low: colours.stop, middle: colours.ink, high: colours.metal }[end];
			const data = sweep.speeds.map((speed, i) => {
				const motion = sweep.motions[end][i];
				const value = which === 'seating' ? motion?.seatingVelocity : motion && motion.bounce * 1e6;
				return [Math.round(speed), value == null ? null : Number(value.toFixed(2))] as const;
			});
			return {
				...line(`${Math.round(100 * sweep.band[end])} %`, color, data, {
					width: end === 'middle' ? 2.2 : 1
				}),
				...(end === 'middle' &&
					highest !== null && {
						markLine: markAt('xAxis', [{ at: highest, name: 'highest' }], colours)
					})
			};
		})
	});
