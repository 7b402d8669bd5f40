/** Which units a bench reads in, when pages come and choices are made in between. */
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { INCH_POUND, METRIC, type Person } from '@zinc-ledger/core';
import { Bench } from './bench.svelte';

const runa = { id: '1', name: 'Runa Tarn', initials: 'RT' } as Person;
const idun = { id: '2', name: 'Idun Moss', initials: 'IM' } as Person;
const sent: unknown[] = [];
beforeEach(() => {
	sent.length = 0;
	vi.stubGlobal('fetch', async (_: string, { body }: { body: string }) => {
		sent.push(JSON.parse(body));
	});
});
afterEach(() => vi.unstubAllGlobals());

describe('the units of a bench', () => {
	it('are those of the page while nobody chose others', () => {
		const bench = new Bench(runa, INCH_POUND, false);
		bench.hear(runa, METRIC, false);
		expect(bench.units).toEqual(METRIC);
		bench.hear(runa, INCH_POUND, false);
		expect(bench.units).toEqual(INCH_POUND);
	});
	it('stay as chosen though a page loaded before that comes again', async () => {
		const bench = new Bench(runa, INCH_POUND, false);
		await bench.read(METRIC);
		bench.hear(runa, INCH_POUND, false);
		expect(bench.units).toEqual(METRIC);
		expect(bench.unitsChosen).toBe(true);
		expect(sent).toEqual([{ units: METRIC }]);
	});
	it('are somebody else’s once somebody else works here', async () => {
		const bench = new Bench(runa, INCH_POUND, false);
		await bench.read(METRIC);
		bench.hear(idun, INCH_POUND, true);
		expect(bench.units).toEqual(INCH_POUND);
	});
	it('go with the job again when that is asked for', async () => {
		const bench = new Bench(runa, METRIC, true);
		await bench.read(INCH_POUND);
		await bench.readAsMeasured();
		bench.hear(runa, METRIC, false);
		expect(bench.units).toEqual(METRIC);
		expect(sent.at(-1)).toEqual({ units: null });
	});
});
