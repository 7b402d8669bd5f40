/** The parts of the round's page: what each shows of the figure at hand. */
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Job } from '@zinc-ledger/core';
import { outbox } from '$lib/outbox/outbox.svelte';
import { atBench, demoJob } from '$lib/test/demo';
import { markup, words, type Around } from '$lib/test/rendered';
import Keypad from './Keypad.svelte';
import { Round } from './round.svelte';
import RoundAside from './RoundAside.svelte';
import RoundDone from './RoundDone.svelte';
import RoundEntry from './RoundEntry.svelte';
import RoundLast from './RoundLast.svelte';
import RoundStrip from './RoundStrip.svelte';
import RoundVerdict from './RoundVerdict.svelte';

let job: Job;
let round: Round;
let around: Around;
const quantity = 'installed-height' as const;

beforeEach(() => {
	vi.stubGlobal('fetch', () => Promise.reject(new Error('no server here')));
	outbox.waiting = [];
	job = demoJob('2417-straight-six');
	around = atBench(job);
	round = new Round(quantity, around.store, around.bench);
	round.begin({ locator: true, shims: false, recess: '0.000 in', sealHome: true });
});

describe('the entry of a round', () => {
	const shown = () => markup(RoundEntry, { quantity, round, locator: true }, around);
	it('says which station, what to do, and takes its figure', () => {
		expect(words(shown())).toMatch(/^5I Gauge on the locator/);
		expect(shown()).toContain('aria-label="Installed heights, station 5I"');
	});
	it('says what was understood, and the verdict at once', () => {
		round.typed = '1867';
		expect(words(shown())).toContain('Read as 1.867 in');
		expect(words(shown())).toMatch(/stop Shim 0.030 \+ 0.015/);
	});
	it('says what is wrong with a figure that is none', () => {
		round.typed = 'abc';
		expect(shown()).toContain('aria-invalid="true"');
	});
	it('asks about one far off before it is kept', () => {
		round.typed = '1182';
		round.enter();
		expect(words(shown())).toContain('Enter again to keep');
	});
});

describe('the strip of a round', () => {
	const shown = () => markup(RoundStrip, { quantity, round }, around);
	it('has the valves of the kind along the head, and the one at hand marked', () => {
		const label = /aria-label="([^"]*)"/.exec(shown())![1]!;
		expect(label).toMatch(/^Bare height, the intakes along the head: 1I 1\.878, /);
		expect(label).toMatch(/5I ·, 6I ·$/);
		expect(shown().match(/border-chromate/g) ?? []).toHaveLength(0);
	});
	it('has the figure typed so far in it at once', () => {
		round.typed = '1842';
		expect(shown()).toMatch(/5I 1\.902/);
		expect(shown().match(/border-chromate/g)).toHaveLength(1);
	});
});

describe('the last figures of a round', () => {
	it('are the newest four, each to be taken back', () => {
		const html = markup(RoundLast, { quantity, round }, around);
		expect(words(html)).toMatch(/^Last 4E 1\.867 in stop Shim 0\.030 \+ 0\.015 Undo/);
		expect(html.match(/>Undo</g)).toHaveLength(4);
	});
	it('cannot be taken back before they are sent', () => {
		round.typed = '1819';
		round.enter();
		const html = markup(RoundLast, { quantity, round }, around);
		expect(words(html)).toMatch(/^Last 5I 1\.819 in unsent/);
		expect(html.match(/>Undo</g)).toHaveLength(3);
	});
});

describe('beside a round', () => {
	it('stands how many are left, the station, and what is in place', () => {
		const text = words(markup(RoundAside, { quantity, round, device: null }, around));
		expect(text).toMatch(/^4 of 12 left; then 5E/);
		expect(text).toContain('In place Locator No shims Recess 0.000 in');
	});
	it('a locator left out stands out', () => {
		round.begin({ locator: false, shims: false, recess: '0.000 in', sealHome: true });
		expect(markup(RoundAside, { quantity, round, device: null }, around)).toMatch(
			/text-watch"[^>]*>\s*No locator/
		);
	});
	it('tells that the server is away, and that figures wait', () => {
		outbox.reachable = false;
		const text = words(markup(RoundAside, { quantity, round, device: null }, around));
		outbox.reachable = true;
		expect(text).toContain('Go on measuring');
	});
});

describe('the end of a round', () => {
	it('says what was last and what comes next', () => {
		for (const typed of ['1819', '1820', '1821', '1822']) {
			round.typed = typed;
			round.enter();
		}
		expect(round.finished).toBe(true);
		const html = markup(RoundDone, { quantity, round }, around);
		expect(words(html)).toMatch(/^All 12 measured\. Last: 6. 1\.822 in\./);
		expect(html).toContain('round?of=seal-gap');
	});
});

describe('the verdict of a round', () => {
	const of = (label: string) =>
		words(markup(RoundVerdict, { station: around.store.station(label)!, quantity }, around));
	it('has the worst in a word, and what to do', () => {
		expect(of('4E')).toMatch(/stop Shim 0\.030 \+ 0\.015$/);
		expect(of('3I')).toContain('too close to call');
	});
	it('calls nothing clear that nothing could judge', () => {
		for (const kind of ['intake', 'exhaust'] as const) delete job.setup.kinds[kind].spring;
		job.readings = job.readings.filter(({ station }) => station === '1I').slice(0, 1);
		around = atBench(job);
		const station = around.store.station('1I')!;
		expect(station.figures.height.figure).not.toBeNull();
		expect(of('1I')).not.toContain('clear');
	});
	it('says so where nothing is wrong', () => {
		expect(of('1I')).toMatch(/clear so far$/);
	});
});

describe('the keypad', () => {
	it('has the digits, the decimal point, and what is done with them', () => {
		const text = words(markup(Keypad, { round }, around));
		expect(text).toBe('7 8 9 4 5 6 1 2 3 0 . Skip Keep');
		expect(markup(Keypad, { round }, around)).toContain('aria-label="Back one station"');
		round.typed = '1';
		expect(markup(Keypad, { round }, around)).toContain('aria-label="Erase"');
	});
});
