/** The frame: the way through a job at the bench and on a phone, the bar above it. */
import { beforeEach, describe, expect, it } from 'vitest';
import type { Job } from '@zinc-ledger/core';
import { outbox } from '$lib/outbox/outbox.svelte';
import { atBench, demoJob } from '$lib/test/demo';
import { markup, words, type Around } from '$lib/test/rendered';
import BenchMenu from './BenchMenu.svelte';
import PhaseBar from './PhaseBar.svelte';
import Rail from './Rail.svelte';
import TopBar from './TopBar.svelte';
import Unsent from './Unsent.svelte';

let job: Job;
let around: Around;
beforeEach(() => {
	outbox.waiting = [];
	outbox.sender = { anybody: true };
	outbox.asksWho = false;
	job = demoJob('2417-straight-six');
	around = atBench(job);
});
const none = () => undefined;

describe('the rail', () => {
	const rail = () => markup(Rail, { store: around.store }, around);
	it('has every stage of the five phases, with how far each is, and folds the rest', () => {
		const text = words(rail());
		expect(text).toMatch(/Prepare 3 of 3 .*Setup .*Measure .*0 of 2 .*Heights 8 of 12/);
		expect(text).toMatch(/Hand over .*Sheet 1 at stop Sign 2 to resolve/);
		expect(text).toContain('Print the sheet');
		for (const view of ['Bare heights', 'Max lift', 'What if', 'Save as a file'])
			expect(text).not.toContain(view);
		expect(rail().match(/aria-expanded="false"/g)).toHaveLength(4);
	});
	it('marks what is done, and what blocks', () => {
		expect(rail().match(/aria-label="done"/g)).toHaveLength(3);
		expect(rail()).toMatch(/font-semibold text-stop[^>]*>\s*1 at stop/);
	});
	it('says what is next and by which key', () => {
		expect(words(rail())).toMatch(/Next: Heights 5I n$/);
	});
});

describe('the bar of a phone', () => {
	it('has the five phases with what is next in their middle', () => {
		const text = words(markup(PhaseBar, { store: around.store }, around));
		expect(text).toMatch(/^Prepare Measure Plan Next Heights 5I Build Hand over/);
	});
});

describe('the bar above', () => {
	const bar = () => markup(TopBar, { scheme: 'light', onkeys: none, onfind: none }, around);
	it('has the brand, where to go, what finds, and who works here', () => {
		expect(words(bar())).toMatch(/Springs Service Gauges Kits Parts Ctrl K find \? keys/);
		expect(words(bar())).toContain(`Bench ${job.people[0]!.initials} in lbf`);
		expect(words(bar())).not.toContain('Who works here?');
	});
	it('leads nowhere before somebody signed in, but to that', () => {
		around.bench.person = null;
		around.bench.access = { network: true, signedIn: false, atBench: false, role: null };
		expect(words(bar())).toContain('Sign in');
		expect(words(bar())).not.toMatch(/Springs|Who works here/);
	});
	it('asks who works here while nobody is picked', () => {
		around.bench.person = null;
		expect(words(bar())).toContain('Who works here?');
	});
	it('says the units at hand', () => {
		around.bench.units = { length: 'mm', load: 'N' };
		expect(words(markup(BenchMenu, { scheme: 'dark', onkeys: none }, around))).toMatch(/mm N/);
	});
});

describe('what waits to be sent', () => {
	const shown = () => words(markup(Unsent, { jobId: job.id }, around));
	const waiting = (more: object = {}) => ({
		jobId: job.id,
		reading: { ...job.readings[0]!, id: crypto.randomUUID() },
		...more
	});
	it('is nothing, or is counted', () => {
		expect(shown()).toBe('');
		outbox.waiting = [waiting(), waiting()];
		expect(shown()).toBe('2 unsent');
	});
	it('of somebody else waits for them', () => {
		outbox.waiting = [waiting(), waiting()];
		outbox.sender = { person: null };
		expect(shown()).toBe(
			'2 unsent by somebody else: sent once they are at this bench. Who is here?'
		);
		outbox.sender = { person: job.readings[0]!.person };
		expect(shown()).toBe('2 unsent');
		outbox.asksWho = true;
		expect(shown()).toBe('2 unsent Sign in to send it; nothing is lost. Who is here?');
	});
	it('of another job is not told here', () => {
		outbox.waiting = [waiting({ jobId: 'another' })];
		expect(shown()).toBe('');
	});
	it('that was rejected says why, and can be dismissed', () => {
		outbox.waiting = [waiting({ refused: 'no such station' })];
		expect(shown()).toMatch(/Rejected: no such station Dismiss$/);
	});
});
