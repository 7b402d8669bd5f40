/** A set's load over its service, as a page shows it. */
import { NEWTONS_PER, newtons, trendOf, type Trend, type Units } from '@zinc-ledger/core';
import type { Bench } from '$lib/bench/bench.svelte';
import type { ChartColours } from '$lib/charts/Chart.svelte';

/** The mean load of a set at one visit. */
export interface VisitPoint {
	readonly springs: number;
	readonly load: number;
	/** Standard deviation of its springs' loads. */
	readonly spread: number;
	readonly hours: number;
	readonly runs: number;
	readonly kilometres: number;
}

const UNITS = { hours: 'h', runs: 'runs', kilometres: 'km' } as const;
type Unit = keyof typeof UNITS;

export interface SetTrend extends Trend {
	/** What its service is counted in. */
	readonly unit: string;
	readonly points: readonly {
		readonly service: number;
		readonly load: number;
		readonly uncertainty: number;
	}[];
	readonly limit: number;
}

/** A tester's reading of a mean repeats to this part of it. */
const REPEATS = 0.004;

/**
 * The trend of a set, in hours where they were told, else runs or kilometres.
 *
 * @param sag part of its first load at which a spring is not used any more
 * @returns null before it was tested twice
 */
export function trendOfPoints(visits: readonly VisitPoint[], sag: number): SetTrend | null {
	const [first] = visits;
	const unit = (Object.keys(UNITS) as Unit[]).find((one) => visits.some((visit) => visit[one] > 0));
	if (!first || !unit) return null;
	const points = visits.map((visit) => ({
		service: visit[unit],
		load: visit.load,
		uncertainty: 1.96 * REPEATS * visit.load
	}));
	const limit = first.load * (1 - sag);
	return { ...trendOf(points, limit), unit: UNITS[unit], points, limit };
}

type Reader = Pick<Bench, 'load' | 'units'>;

/** What is to be said of it. */
export function trendLines(trend: SetTrend, { load, units }: Reader): string[] {
	const { settled, slope, reaches, unit, points } = trend;
	const force = (value: number) => `${load(newtons(value))} ${units.load}`;
	const last = points.at(-1)!.service;
	const round = (service: number) => `${Math.round(service)} ${unit}`;
	return [
		...(settled === null ? [] : [`Its first run took ${force(settled)}: that is settling.`]),
		slope === null
			? 'A line is told from three visits after the first run on.'
			: `Since then it loses ${((100 * slope.value * 10) / points[0]!.load).toFixed(2)} % of its first load in 10 ${unit}, ± ${((100 * slope.uncertainty * 10) / points[0]!.load).toFixed(2)}.`,
		...(slope === null
			? []
			: [
					reaches === null
						? 'By that line it does not reach its limit.'
						: `By that line it reaches its limit of ${force(trend.limit)} at ${round(reaches.at)}, between ${round(reaches.from)} and ${reaches.to === null ? 'never' : round(reaches.to)}; it has run ${round(last)}.`
				])
	];
}

/** Points with the line and its band, and the limit across. */
export const trendChart =
	({ points, at, unit, limit }: SetTrend, { load }: Units) =>
	({ ink, soft, metal, stop }: ChartColours) => {
		const per = NEWTONS_PER[load];
		const last = points.at(-1)!.service;
		const shown = at ? Array.from({ length: 31 }, (_, i) => (i * last * 1.5) / 30) : [];
		const text = { color: soft, fontSize: 12 };
		const line = (
			name: string,
			of: (service: number) => number,
			color: string,
			type = 'solid'
		) => ({
			name,
			type: 'line',
			showSymbol: false,
			lineStyle: { color, type, width: type === 'solid' ? 2 : 1 },
			itemStyle: { color },
			data: shown.map((service) => [service, of(service) / per])
		});
		return {
			animation: false,
			grid: { left: 64, right: 20, top: 34, bottom: 44 },
			legend: { top: 0, right: 8, textStyle: text },
			tooltip: { trigger: 'axis', valueFormatter: (value: unknown) => Number(value).toFixed(1) },
			xAxis: {
				type: 'value',
				name: unit,
				nameLocation: 'middle',
				nameGap: 26,
				nameTextStyle: text,
				axisLabel: text,
				splitLine: { show: false },
				axisLine: { lineStyle: { color: ink } }
			},
			yAxis: {
				type: 'value',
				scale: true,
				name: load,
				nameTextStyle: text,
				axisLabel: text,
				splitLine: { lineStyle: { color: metal, opacity: 0.4 } }
			},
			series: [
				{
					name: 'mean of the set',
					type: 'line',
					symbolSize: 9,
					lineStyle: { width: 0 },
					itemStyle: { color: ink },
					data: points.map((point) => [point.service, point.load / per]),
					markLine: {
						silent: true,
						symbol: 'none',
						lineStyle: { color: stop },
						label: { formatter: 'limit', color: stop, position: 'insideStartTop' },
						data: [{ yAxis: limit / per }]
					}
				},
				...(at
					? [
							line('line', (service) => at(service).load, ink),
							line('band', (service) => at(service).load + at(service).uncertainty, soft, 'dashed'),
							line('band', (service) => at(service).load - at(service).uncertainty, soft, 'dashed')
						]
					: [])
			]
		};
	};
