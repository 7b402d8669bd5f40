/** What the setup shows beside its fields: targets by method, what cuts do, work on the head. */
import { beforeEach, describe, expect, it } from 'vitest';
import type { Job } from '@zinc-ledger/core';
import { atBench, demoJob } from '$lib/test/demo';
import { markup, words, type Around } from '$lib/test/rendered';
import CutEffects from './CutEffects.svelte';
import HeadWork from './HeadWork.svelte';
import TargetMethods from './TargetMethods.svelte';

let job: Job;
let around: Around;
beforeEach(() => {
	job = demoJob('2417-straight-six');
	around = atBench(job);
});
const cut = () =>
	job.headWork.push({
		id: crypto.randomUUID(),
		work: 'deck-cut',
		cut: '0.010 in',
		note: 'Warped',
		person: job.people[0]!.id,
		at: '2026-11-19T09:00:00Z'
	});

describe('targets by method', () => {
	const methods = () => words(markup(TargetMethods, {}, around));
	it('stand beside each other for both kinds, with the loads they give', () => {
		expect(methods()).toMatch(/Method Intake seat open .*Exhaust seat open/);
		expect(methods()).toMatch(/1\.820 /);
	});
	it('are not known without a spring', () => {
		delete job.setup.kinds.exhaust.spring;
		around = atBench(job);
		expect(methods()).toContain('·');
	});
});

describe('work on the head', () => {
	const work = () => words(markup(HeadWork, {}, around));
	it('is listed with who did it, and can be withdrawn', () => {
		const before = work();
		cut();
		around = atBench(job);
		expect(work()).not.toBe(before);
		expect(work()).toContain('Warped');
		expect(work()).toContain('Withdraw');
	});
});

describe('what a cut does', () => {
	const effects = () => words(markup(CutEffects, {}, around));
	it('counts the cuts that were made before', () => {
		expect(effects()).toContain('0.012 nearer');
	});
	it('adds the one that is made now', () => {
		cut();
		around = atBench(job);
		expect(effects()).toContain('0.022 nearer');
	});
});
