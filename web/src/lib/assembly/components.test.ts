/** The steps of an assembly, as they are listed and ticked. */
import { beforeEach, describe, expect, it } from 'vitest';
import { assemblyOf, stepKey, type AssemblyStep, type Job } from '@zinc-ledger/core';
import { atBench, demoJob } from '$lib/test/demo';
import { markup, words, type Around } from '$lib/test/rendered';
import StepDone from './StepDone.svelte';
import StepList from './StepList.svelte';
import StepText from './StepText.svelte';

let job: Job;
let around: Around;
beforeEach(() => {
	job = demoJob('2417-straight-six');
	around = atBench(job);
});
const stamp = () => ({ person: job.people[0]!.id, at: '2026-11-20T09:00:00.000Z' });
const stepsAt = (place: string) =>
	assemblyOf(job, around.store.sheet).steps.filter((step) => step.place === place);
const ticked = (place: string, step: string, more: Partial<AssemblyStep> = {}): AssemblyStep => ({
	id: crypto.randomUUID(),
	place,
	step,
	done: true,
	...stamp(),
	...more
});

describe('the steps of a place', () => {
	const list = (done: readonly AssemblyStep[], current?: string) =>
		markup(
			StepList,
			{
				place: '1I',
				steps: stepsAt('1I'),
				done: new Map(done.map((one) => [stepKey(one.place, one.step), one])),
				current,
				onchoose: () => undefined
			},
			around
		);
	it('are in the order of the work, the one at hand marked', () => {
		const steps = stepsAt('1I');
		expect(steps.length).toBeGreaterThan(5);
		const html = list([], steps[0]!.key);
		expect(html.match(/aria-current/g)).toHaveLength(1);
		expect(html.match(/<li/g)).toHaveLength(steps.length);
	});
	it('tell which are done', () => {
		const [first] = stepsAt('1I');
		const before = (list([]).match(/aria-label="done"/g) ?? []).length;
		const after = list([ticked('1I', first!.step)]);
		expect((after.match(/aria-label="done"/g) ?? []).length).toBe(before + 1);
	});
});

describe('what a step says', () => {
	const text = (place: string, code: string) => {
		const step = stepsAt(place).find((one) => one.step === code)!;
		return words(markup(StepText, { step, atStation: place !== 'job' }, around));
	};
	it('names the part that goes in, and how', () => {
		const codes = stepsAt('1I').map(({ step }) => step);
		expect(codes).toContain('locator');
		expect(text('1I', 'locator')).toMatch(/locator/i);
	});
	it('names the shims of the build', () => {
		job.stations.find(({ label }) => label === '1I')!.shims = ['0.030 in'];
		around = atBench(job);
		expect(text('1I', 'locator')).toContain('0.030');
	});
	it('counts the halves of the locks for the whole job', () => {
		expect(text('job', 'count-out')).toContain('24');
	});
});

describe('a step that is done', () => {
	it('says by whom and what was noted, and can be undone', () => {
		const done = ticked('job', 'count-out', { count: 24, note: 'two spare' });
		const html = markup(
			StepDone,
			{ ticked: done, onundo: () => undefined, onnext: () => undefined },
			around
		);
		expect(words(html)).toContain('two spare');
		expect(words(html)).toContain(job.people[0]!.initials);
		expect(html).toContain('<button');
	});
});
