import { describe, expect, it } from 'vitest';
import { METRIC, visitComparison } from '@zinc-ledger/core';
import { Bench } from '$lib/bench/bench.svelte';
import { demoJob } from '$lib/test/demo';
import { lossesChart } from './losses-chart';
import {
	comparisonState,
	changeText,
	explanationText,
	hasMoved,
	isAmong,
	shownTraces,
	type ComparisonFilter
} from './comparison';

const job = demoJob('2418-light-retainers');
const metric = new Bench(null, METRIC);
const back = {
	...job,
	readings: job.readings.map((reading) =>
		reading.station === '2I' && reading.quantity === 'installed-height'
			? { ...reading, read: '46.90 mm' }
			: reading
	)
};
const stations = visitComparison(job, back);
const of = (label: string) => stations.find(({ station }) => station === label)!;

describe('then and now as a table', () => {
	it('has the quantities that were read both times', () => {
		expect(shownTraces(stations)).toEqual(['height', 'seal-gap']);
	});
	it('tells a change with its sign, and which valves moved', () => {
		expect(changeText('height', of('2I').moved.height!.change, metric)).toMatch(/^\+0\.\d\d$/);
		expect(stations.filter(hasMoved).map(({ station }) => station)).toEqual(['2I']);
	});
	it('is narrowed to what moved, what lost load and what grew', () => {
		const among = (filter: ComparisonFilter, list = stations) =>
			list.filter((one) => isAmong(filter, one)).map(({ station }) => station);
		expect(among('all')).toHaveLength(stations.length);
		expect([among('moved'), among('grown'), among('lost')]).toEqual([['2I'], ['2I'], []]);
		const part = (by: number) => ({ by, uncertainty: 5 });
		const losses = { all: part(30), toHeight: part(22), toSag: part(8) };
		const weak = stations.map((one) => (one.station === '3E' ? { ...one, losses } : one));
		expect(among('lost', weak)).toEqual(['3E']);
		const chart = lossesChart(weak, METRIC)({} as never);
		expect(chart.xAxis).toMatchObject({ data: ['3E'] });
		expect(chart.series.map(({ data }) => data)).toEqual([[22], [8]]);
	});
	it('is told in the plan: moved, as it was, not compared', () => {
		expect(['2I', '1I', '9X'].map((label) => comparisonState(of(label)))).toEqual([
			'watch',
			'clear',
			'not-measured'
		]);
	});
	it('says what it looks like, with how much of it', () => {
		const [best] = of('2I').happened!.explanations;
		expect(explanationText(best!, metric)).toMatch(/^pocket, locator or shim worn .* 0\.\d\d mm$/);
		expect(explanationText(of('1I').happened!.explanations[0]!, metric)).toBe('');
	});
});
