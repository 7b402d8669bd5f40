/** The sheet as a table, and as a list on a phone. */
import { beforeEach, describe, expect, it } from 'vitest';
import type { Job } from '@zinc-ledger/core';
import { atBench, demoJob } from '$lib/test/demo';
import { markup, words, type Around } from '$lib/test/rendered';
import SheetFooter from './SheetFooter.svelte';
import SheetRemarks from './SheetRemarks.svelte';
import SheetTable from './SheetTable.svelte';
import StationList from './StationList.svelte';

let job: Job;
let around: Around;
beforeEach(() => {
	job = demoJob('2417-straight-six');
	around = atBench(job);
});
const none = () => undefined;
const table = (waiting: readonly string[] = []) => {
	const { stations } = around.store.sheet;
	return markup(
		SheetTable,
		{
			stations,
			all: stations,
			selected: '3I',
			waiting: new Set(waiting),
			tagged: new Set(['1I']),
			sortedBy: null,
			onselect: none,
			onsort: none
		},
		around
	);
};
const row = (html: string, label: string) =>
	html.split('<tr').find((one) => one.includes(`data-row="${label}"`))!;

describe('the table of the sheet', () => {
	it('has a row a station, figures in the reader’s units once a column', () => {
		const html = table();
		expect(html.match(/data-row=/g)).toHaveLength(12);
		expect(words(row(html, '1I'))).toContain('1.818');
		expect(words(html.split('</thead>')[0]!)).toMatch(/Installed height in .*Seat load lbf/);
		around.bench.units = { length: 'mm', load: 'N' };
		expect(words(row(table(), '1I'))).toContain('46.18');
	});
	it('tells the one that is chosen, and that a figure waits', () => {
		const html = table(['4E']);
		expect(row(html, '3I')).toContain('aria-selected="true"');
		expect(row(html, '4E')).toContain('aria-selected="false"');
		expect(words(row(html, '4E'))).toContain('unsent');
	});
	it('says a state in a word beside its colour, and what to do', () => {
		expect(words(row(table(), '4E'))).toMatch(/1\.867 stop .*stop Shim 0\.030 \+ 0\.015/);
		expect(words(row(table(), '5I'))).toMatch(/^.*5I · · · · · ·$/);
	});
});

describe('the list of a phone', () => {
	const list = () =>
		markup(
			StationList,
			{
				stations: around.store.sheet.stations,
				selected: null,
				waiting: new Set(['1I']),
				onselect: none
			},
			around
		);
	const lines = () =>
		list()
			.split('<li')
			.slice(1)
			.map((one) => words(`<li${one}`));
	it('begins with what is wrong', () => {
		expect(lines()[0]).toMatch(/^4E stop Shim 0\.030 \+ 0\.015 1\.867 · 114 · 0\.186/);
		expect(lines()[1]).toMatch(/^3I too close to call/);
	});
	it('is clear so far where all that was measured is, and not measured where nothing was', () => {
		expect(lines().find((line) => line.startsWith('1I'))).toContain('clear so far');
		expect(lines().find((line) => line.startsWith('5I'))).toContain('not measured');
	});
	it('tells which figures wait', () => {
		expect(lines().filter((line) => line.includes('unsent'))).toHaveLength(1);
	});
});

describe('round the sheet', () => {
	it('stands what is least, and which valve comes next', () => {
		const text = words(
			markup(SheetFooter, { nextToMeasure: '5I', tagged: new Set<string>() }, around)
		);
		expect(text).toMatch(/Min bind margin 0\.125 · 3I/);
		expect(text).toMatch(/Measure next 5I/);
	});
	it('stands what loads and margins stand on, once each; a station’s own figures carry its mark', () => {
		const legend = () =>
			markup(SheetFooter, { nextToMeasure: '5I', tagged: new Set<string>() }, around).match(
				/data-trust="\w+"/g
			);
		expect(legend()).toEqual(['data-trust="card"']);
		expect(row(table(), '1I').match(/data-trust="card"/g)).toHaveLength(3);
		job.setup.kinds.exhaust.lift!.source = 'customer';
		around = atBench(job);
		expect(legend()).toEqual(['data-trust="card"', 'data-trust="hearsay"']);
		expect(row(table(), '1E').match(/data-trust="hearsay"/g)).toHaveLength(2);
	});
	it('stand the findings of fit that are not accepted', () => {
		expect(words(markup(SheetRemarks, {}, around))).toBe('');
		job.setup.kinds.exhaust.locks!.angle = 7;
		around = atBench(job);
		expect(words(markup(SheetRemarks, {}, around))).toMatch(/locks 7°, retainer 10°/);
	});
});
