/** A set's load over its service, as a page shows it. */
import { NEWTONS_PER, newtons, type SetTrend, type Units } from '@zinc-ledger/core';
import type { Bench } from '$lib/bench/bench.svelte';
import type { ChartColours } from '$lib/charts/Chart.svelte';

const UNITS: Readonly<Record<SetTrend['unit'], string>> = {
	hours: 'h',
	runs: 'runs',
	kilometres: 'km'
};
/** What the service of a trend is told in: "h". */
export const trendUnit = ({ unit }: Pick<SetTrend, 'unit'>) => UNITS[unit];

type Reader = Pick<Bench, 'load' | 'units'>;

/** What is to be said of it. */
export function trendLines(trend: SetTrend, { load, units }: Reader): string[] {
	const { settled, slope, reaches, points } = trend;
	const unit = trendUnit(trend);
	const force = (value: number) => `${load(newtons(value))} ${units.load}`;
	const last = points.at(-1)!.service;
	const round = (service: number) => `${Math.round(service)} ${unit}`;
	const share = (loss: number) => ((100 * TREND_PERIOD * loss) / points[0]!.load).toFixed(2);
	const settling = settled === null ? [] : [`Settled by ${force(settled)} in the first run.`];
	if (slope === null) return [...settling, 'A forecast takes three visits after the first run.'];
	const line = `Since then its weakest spring loses ${share(slope.value)} % of its first load in ${TREND_PERIOD} ${unit}, ± ${share(slope.uncertainty)}.`;
	const bend = trend.isAccelerating
		? [
				'The loss is accelerating, and a straight line does not fit it: count on the soonest figure.'
			]
		: [];
	if (reaches === null)
		return [...settling, line, 'By that line it does not reach its limit.', ...bend];
	const between =
		reaches.to === null
			? `from ${round(reaches.from)} on`
			: `between ${round(reaches.from)} and ${round(reaches.to)}`;
	return [
		...settling,
		line,
		`By that line it reaches its limit of ${force(trend.limit)} at ${round(reaches.at)}, ${between}; it has run ${round(last)}.`,
		...bend
	];
}
/** What a loss is told for. */
const TREND_PERIOD = 10;

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
				name: UNITS[unit],
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
					name: 'weakest spring',
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
