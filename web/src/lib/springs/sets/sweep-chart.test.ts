import { describe, expect, it } from 'vitest';
import { INCH_POUND, METRIC } from '@zinc-ledger/core';
import { sweepChart, type SweepView } from './sweep-chart';

const view: SweepView = {
	lines: [
		{ name: 'T1', chosen: true, points: [[45.72, 600]] },
		{ name: 'T2', chosen: false, points: [] }
	],
	card: [[46.228, 578.27]],
	straight: [[46.228, 578.27]],
	seat: 46.228,
	lift: 13.716,
	bind: { height: 29.21, from: 29, to: 29.4 }
};
const colours = { ink: 'i', soft: 's', metal: 'm', window: 'w', bind: 'b' };
const named = (shown: ReturnType<typeof sweepChart>, name: string) =>
	shown.series.find((one) => one.name === name)!;

describe('the chart of sweeps', () => {
	it('is in the units of whoever looks at it', () => {
		const inches = sweepChart(view, INCH_POUND, colours);
		expect(inches.xAxis.name).toBe('height, in');
		expect(named(inches, 'card').data[0]![0]).toBeCloseTo(1.82, 6);
		expect(named(inches, 'card').data[0]![1]).toBeCloseTo(130, 2);
		const metric = sweepChart(view, METRIC, colours);
		expect(named(metric, 'T1').data).toEqual([[45.72, 600]]);
		expect(metric.yAxis.name).toBe('load, N');
		expect([1.82, 46.2].map((value) => inches.xAxis.axisLabel.formatter(value))).toEqual([
			'1.82',
			'46.20'
		]);
		expect(metric.xAxis.axisLabel.formatter(46.2)).toBe('46');
	});
	it('has the chosen sweep in ink before the others', () => {
		const { series } = sweepChart(view, METRIC, colours);
		expect(series.slice(0, 2).map(({ z, lineStyle }) => [z, lineStyle?.color])).toEqual([
			[5, 'i'],
			[2, 'm']
		]);
	});
	it('lays the working window from seat to open, and the bind with its band', () => {
		const shown = sweepChart(view, METRIC, colours);
		expect(named(shown, 'seat to open')).toMatchObject({
			markArea: { data: [[{ xAxis: 46.228 }, { xAxis: 46.228 - 13.716 }]] }
		});
		expect(named(shown, 'bind')).toMatchObject({
			markArea: { data: [[{ xAxis: 29 }, { xAxis: 29.4 }]] }
		});
		expect(sweepChart({ ...view, bind: null }, METRIC, colours).series).toHaveLength(4);
	});
	it('says what is pointed at, of three sweeps at most', () => {
		const { formatter } = sweepChart(view, INCH_POUND, colours).tooltip;
		const pointed = (seriesName: string) => ({ seriesName, value: [1.82, 130] });
		expect(formatter(['T1', 'T2', 'T3', 'T4'].map(pointed))).toBe(
			'T1: 1.820, 130<br>T2: 1.820, 130<br>T3: 1.820, 130'
		);
	});
});
