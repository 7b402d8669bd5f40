import { describe, expect, it } from 'vitest';
import { METRIC } from '@zinc-ledger/core';
import { Bench } from '$lib/bench/bench.svelte';
import { trendChart, trendLines, trendOfPoints, type VisitPoint } from './trend';

const metric = new Bench(null, METRIC);
const visit = (hours: number, load: number): VisitPoint => ({
	springs: 16,
	load,
	spread: 4,
	hours,
	runs: 0,
	kilometres: 0
});
const LIFE = [visit(0, 300), visit(10, 294), visit(20, 292), visit(30, 290), visit(40, 288)];

describe('a set over its service', () => {
	it('has no trend before it ran, or before anybody tested it', () => {
		expect(trendOfPoints([], 0.1)).toBeNull();
		expect(trendOfPoints([visit(0, 300), visit(0, 299)], 0.1)).toBeNull();
	});
	it('tells settling apart, and a line only from three visits after the first run on', () => {
		const [settled, line] = trendLines(trendOfPoints(LIFE.slice(0, 3), 0.1)!, metric);
		expect(settled).toBe('Its first run took 6 N: that is settling.');
		expect(line).toMatch(/^A line is told from three visits/);
	});
	it('says when the line reaches the limit, with its band', () => {
		const trend = trendOfPoints(LIFE, 0.1)!;
		expect(trend.limit).toBe(270);
		expect(trend.reaches!.at).toBeCloseTo(130, 0);
		const [, slope, reaches] = trendLines(trend, metric);
		expect(slope).toMatch(/^Since then it loses 0\.67 % of its first load in 10 h/);
		expect(reaches).toMatch(
			/reaches its limit of 270 N at 130 h, between \d+ h and .*it has run 40 h/
		);
	});
	it('counts in what was told', () => {
		const runs = LIFE.map((one) => ({ ...one, hours: 0, runs: one.hours }));
		expect(trendOfPoints(runs, 0.1)!.unit).toBe('runs');
	});
	it('draws points, line, band and limit', () => {
		const chart = trendChart(trendOfPoints(LIFE, 0.1)!, METRIC)({} as never);
		expect(chart.series.map(({ name }) => name)).toEqual([
			'mean of the set',
			'line',
			'band',
			'band'
		]);
		const few = trendChart(trendOfPoints(LIFE.slice(0, 2), 0.1)!, METRIC)({} as never);
		expect(few.series).toHaveLength(1);
	});
});
