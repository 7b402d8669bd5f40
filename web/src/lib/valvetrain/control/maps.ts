/** Charts that look past one valve or one speed: along the head, over engine speed, about a height. */
import {
	MM_PER,
	type Controlled,
	type FedOrder,
	type LimitMap,
	type Sheet,
	type Units
} from '@zinc-ledger/core';
import type { ChartColours } from '$lib/charts/Chart.svelte';
import { axis, base, legend, line, markAt } from './chart-base';

/** Speeds that a limit is held against, in rpm; null where nobody named the highest. */
export interface Speeds {
	readonly highest: number | null;
	readonly wanted: number | null;
}

const marksOf = ({ highest, wanted }: Speeds) => [
	...(highest === null ? [] : [{ at: highest, name: 'highest' }]),
	...(wanted === null ? [] : [{ at: wanted, name: 'with headroom' }])
];

/** The limit of every valve along the head, with its band. */
export const alongChart =
	(controlled: readonly Controlled[], sheet: Sheet, speeds: Speeds) => (colours: ChartColours) => {
		const rows = controlled.map(({ station, limit }) => {
			const of = sheet.stations.find(({ label }) => label === station)?.figures.controlLimit;
			return { station, speed: limit.speed, off: of?.figure == null ? 0 : of.uncertainty };
		});
		const ends = (sign: 1 | -1) =>
			rows.map(({ station, speed, off }) => [station, Math.round(speed + sign * off)]);
		return {
			...base(colours),
			xAxis: {
				type: 'category',
				data: rows.map(({ station }) => station),
				axisLabel: { color: colours.soft, interval: 0 },
				axisLine: { lineStyle: { color: colours.ink } }
			},
			// What it is held against is in the picture however far off it lies.
			yAxis: {
				...axis('rpm', colours, 'y'),
				scale: true,
				max: ({ max }: { max: number }) => Math.ceil(Math.max(max, speeds.wanted ?? 0) / 200) * 200,
				min: ({ min }: { min: number }) =>
					Math.floor(Math.min(min, speeds.highest ?? min) / 200) * 200
			},
			legend: legend(colours),
			series: [
				{
					...line(
						'limit',
						colours.ink,
						rows.map(({ station, speed }) => [station, Math.round(speed)])
					),
					showSymbol: true,
					symbolSize: 9,
					lineStyle: { width: 0 },
					markLine: markAt('yAxis', marksOf(speeds), colours)
				},
				line('band', colours.metal, ends(1), { width: 1 }),
				line('band', colours.metal, ends(-1), { width: 1 })
			]
		};
	};

/** The coils' own frequency over engine speed, and the orders that feed it, as strong as the lobe feeds them. */
export const surgeChart =
	(frequency: number, orders: readonly FedOrder[], max: number, { highest, wanted }: Speeds) =>
	(colours: ChartColours) => ({
		...base(colours),
		xAxis: { ...axis('engine speed, rpm', colours, 'x'), min: 0, max },
		yAxis: { ...axis('frequency, Hz', colours, 'y'), min: 0, max: Math.round(frequency * 1.6) },
		series: [
			...orders.map(({ order, strength }) => ({
				...line(
					String(order),
					colours.soft,
					[
						[0, 0],
						[max, (order * max) / 120]
					],
					{ width: 0.5 + 5 * strength }
				),
				endLabel: { show: false },
				silent: true
			})),
			{
				...line('coils', colours.stop, [
					[0, Math.round(frequency)],
					[max, Math.round(frequency)]
				]),
				markLine: markAt('xAxis', marksOf({ highest, wanted }), colours),
				markPoint: {
					silent: true,
					symbol: 'circle',
					symbolSize: 5,
					itemStyle: { color: colours.stop },
					label: { formatter: '{b}', position: 'top', color: colours.ink },
					data: orders
						.filter(({ speed }) => speed <= max)
						.map(({ order, speed }) => ({ name: String(order), coord: [speed, frequency] }))
				}
			}
		]
	});

/** Where the limit lies if the spring stood or were lifted otherwise, in hundreds of rpm. */
export const limitMapChart =
	({ heights, lifts, limits }: LimitMap, { highest, wanted }: Speeds, units: Units) =>
	(colours: ChartColours) => {
		const [per, digits] = [MM_PER[units.length], units.length === 'in' ? 3 : 2];
		const named = (of: readonly number[]) => of.map((one) => (one / per).toFixed(digits));
		const category = (name: string, of: readonly number[], where: 'x' | 'y') => ({
			...axis(`${name}, ${units.length}`, colours, where),
			type: 'category',
			data: named(of),
			splitLine: { show: false }
		});
		const none = highest === null || wanted === null;
		return {
			...base(colours),
			tooltip: {
				trigger: 'item',
				formatter: ({ value }: { value: number[] }) => `${value[2]} rpm`
			},
			xAxis: category('installed height', heights, 'x'),
			yAxis: category('valve lift', lifts, 'y'),
			visualMap: {
				type: 'piecewise',
				show: false,
				dimension: 2,
				pieces: none
					? [{ gte: 0, color: 'transparent' }]
					: [
							{ lt: highest, color: colours.stop },
							{ gte: highest, lt: wanted, color: colours.window },
							{ gte: wanted, color: 'transparent' }
						]
			},
			series: [
				{
					type: 'heatmap',
					data: limits.flatMap((row, y) =>
						row.flatMap((limit, x) =>
							limit === null
								? []
								: {
										value: [x, y, Math.round(limit)],
										label: { color: limit < (highest ?? 0) ? colours.paper : colours.ink }
									}
						)
					),
					label: {
						show: true,
						fontSize: 10,
						formatter: ({ value }: { value: number[] }) => String(Math.round(value[2]! / 100))
					}
				}
			]
		};
	};
