import { describe, expect, it } from 'vitest';
import { METRIC, trendOfSet } from '@zinc-ledger/core';
import { Bench } from '$lib/bench/bench.svelte';
import { trendChart, trendLines } from './trend';

const metric = new Bench(null, METRIC);
const visit = (hours: number, load: number) => ({
	load,
	weakest: load,
	hours,
	runs: 0,
	kilometres: 0
});
const LIFE = [visit(0, 300), visit(10, 294), visit(20, 292), visit(30, 290), visit(40, 288)];

describe('a set over its service', () => {
	it('tells settling apart, and a line only from three visits after the first run on', () => {
		const [settled, line] = trendLines(trendOfSet(LIFE.slice(0, 3), 0.1)!, metric);
		expect(settled).toBe('Settled by 6 N in the first run.');
		expect(line).toMatch(/^A forecast takes three visits/);
	});
	it('says when the line reaches the limit, with its band', () => {
		const trend = trendOfSet(LIFE, 0.1)!;
		const [, slope, reaches] = trendLines(trend, metric);
		expect(slope).toMatch(/^Since then its weakest spring loses 0\.67 % of its first load in 10 h/);
		expect(reaches).toMatch(
			/reaches its limit of 270 N at 130 h, between \d+ h and .*it has run 40 h/
		);
	});
	it('warns where the loss accelerates', () => {
		const falling = [300, 298, 297, 294, 286, 272].map((load, i) => visit(10 * i, load));
		const trend = trendOfSet(falling, 0.1)!;
		expect(trend.isAccelerating).toBe(true);
		expect(trendLines(trend, metric).at(-1)).toMatch(/^The loss is accelerating/);
	});
	it('draws points, line, band and limit', () => {
		const chart = trendChart(trendOfSet(LIFE, 0.1)!, METRIC)({} as never);
		expect(chart.series.map(({ name }) => name)).toEqual([
			'weakest spring',
			'line',
			'band',
			'band'
		]);
		const few = trendChart(trendOfSet(LIFE.slice(0, 2), 0.1)!, METRIC)({} as never);
		expect(few.series).toHaveLength(1);
	});
});
