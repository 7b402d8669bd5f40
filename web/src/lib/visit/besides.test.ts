import { describe, expect, it } from 'vitest';
import { METRIC, thenAndNow } from '@zinc-ledger/core';
import { Bench } from '$lib/bench/bench.svelte';
import { demoJob } from '$lib/test/demo';
import { changeText, explanationText, hasMoved, shownTraces } from './besides';

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
const stations = thenAndNow(job, back);
const of = (label: string) => stations.find(({ station }) => station === label)!;

describe('then and now as a table', () => {
	it('has the quantities that were read both times', () => {
		expect(shownTraces(stations)).toEqual(['height', 'seal-gap']);
	});
	it('tells a change with its sign, and which valves moved', () => {
		expect(changeText('height', of('2I').moved.height!.change, metric)).toMatch(/^\+0\.\d\d$/);
		expect(stations.filter(hasMoved).map(({ station }) => station)).toEqual(['2I']);
	});
	it('says what it looks like, with how much of it', () => {
		const [best] = of('2I').happened!.explanations;
		expect(explanationText(best!, metric)).toMatch(/^pocket, locator or shim worn .* 0\.\d\d$/);
		expect(explanationText(of('1I').happened!.explanations[0]!, metric)).toBe('');
	});
});
