/** What the seat loads were lost to, stacked along the head. */
import { NEWTONS_PER, type StationComparison, type Units } from '@zinc-ledger/core';
import type { ChartColours } from '$lib/charts/Chart.svelte';

/** Bars by valve in the order of the sheet: lost to a grown height, and to sag; what was gained lies below nothing. */
export const lossesChart =
	(stations: readonly StationComparison[], { load }: Units) =>
	({ ink, soft, metal }: ChartColours) => {
		const known = stations.flatMap(({ station, losses }) => (losses ? [{ station, losses }] : []));
		const bars = (name: string, color: string, of: 'toHeight' | 'toSag') => ({
			name,
			type: 'bar',
			stack: 'lost',
			itemStyle: { color },
			data: known.map(({ losses }) => Math.round(losses[of].by / NEWTONS_PER[load]))
		});
		const text = { color: soft, fontSize: 12 };
		return {
			animation: false,
			grid: { left: 56, right: 16, top: 34, bottom: 30 },
			legend: { top: 0, right: 8, textStyle: text, icon: 'rect' },
			tooltip: { trigger: 'axis' },
			xAxis: {
				type: 'category',
				data: known.map(({ station }) => station),
				axisLabel: text,
				axisLine: { lineStyle: { color: ink } }
			},
			yAxis: {
				type: 'value',
				name: `lost, ${load}`,
				nameTextStyle: text,
				axisLabel: text,
				splitLine: { lineStyle: { color: metal, opacity: 0.4 } }
			},
			series: [bars('height grew', metal, 'toHeight'), bars('spring sagged', ink, 'toSag')]
		};
	};
