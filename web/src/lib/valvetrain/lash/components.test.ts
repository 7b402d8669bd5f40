/** The order lash is set in, and how far it moved since. */
import { beforeEach, describe, expect, it } from 'vitest';
import { stopsOf, type Job } from '@zinc-ledger/core';
import { atBench, demoJob } from '$lib/test/demo';
import { markup, words, type Around } from '$lib/test/rendered';
import CrankDial from './CrankDial.svelte';
import LashDrift from './LashDrift.svelte';
import SettingOrderTable from './SettingOrderTable.svelte';

let job: Job;
let around: Around;
beforeEach(() => {
	job = demoJob('2417-straight-six');
	around = atBench(job);
});
const lash = (station: string, read: string, as: 'set' | 'found', at: string) => ({
	...job.readings[0]!,
	id: crypto.randomUUID(),
	station,
	quantity: 'lash' as const,
	read,
	engine: 'cold' as const,
	lash: { as, marked: true },
	at
});

describe('the setting order', () => {
	const order = (followers = false) => words(markup(SettingOrderTable, { followers }, around));
	it('says where to turn to and which valves are set there', () => {
		expect(order()).toMatch(
			/begin cylinder 1 at firing TDC 1I 1E 120° cylinder 5 at firing TDC 5I 5E/
		);
	});
	it('says what it was worked out from', () => {
		expect(order()).toContain('Fires 1-5-3-6-2-4');
		expect(order()).toMatch(/durations of this cam|events on this cam|not known/);
	});
	it('asks for the firing order where there is none', () => {
		delete job.engine.layout.firingOrder;
		around = atBench(job);
		expect(order()).toMatch(/[Ff]iring order/);
		expect(order()).not.toContain('120°');
	});
});

describe('the dial of the crankshaft', () => {
	it('says where to turn to, what fires and what stands still there', () => {
		const [, second] = stopsOf(job, 'firing-order');
		const html = markup(CrankDial, { stop: second! }, around);
		expect(html).toMatch(
			/aria-label="Crankshaft at 120° of 720°, cylinder 5 at firing TDC: 5I 5E to set"/
		);
		expect(words(html)).toMatch(/120° on/);
		expect(words(html)).toMatch(/Also on base circle \d/);
		expect(words(html)).toMatch(/Set here 5I 5E/);
	});
});

describe('the drift of lash', () => {
	const drift = () => words(markup(LashDrift, {}, around));
	it('is told once lash was found that had been set', () => {
		job.readings.push(
			lash('1I', '0.014 in', 'set', '2026-11-18T09:00:00Z'),
			lash('1I', '0.022 in', 'found', '2026-11-20T09:00:00Z')
		);
		around = atBench(job);
		expect(drift()).toMatch(/1I .*0\.008/);
	});
	it('is none where nothing was found since', () => {
		job.readings.push(lash('1I', '0.014 in', 'set', '2026-11-18T09:00:00Z'));
		around = atBench(job);
		expect(drift()).not.toMatch(/1I .*0\.008/);
	});
});
