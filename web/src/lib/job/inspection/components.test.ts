/** The table of what was measured on valves, seats and chambers. */
import { beforeEach, describe, expect, it } from 'vitest';
import type { Inspected, Job } from '@zinc-ledger/core';
import { atBench, demoJob } from '$lib/test/demo';
import { markup, words } from '$lib/test/rendered';
import InspectedTable from './InspectedTable.svelte';

let job: Job;
beforeEach(() => (job = demoJob('2417-straight-six')));
const add = (station: string, quantity: Inspected, read: string) =>
	job.readings.push({ ...job.readings[0]!, id: crypto.randomUUID(), station, quantity, read });
const shown = () => markup(InspectedTable, {}, atBench(job));

describe('figures of valves and seats', () => {
	it('begin a round each, with how many are wanted', () => {
		const html = shown();
		expect(html).toContain(`/jobs/${job.id}/round?of=stem-clearance`);
		expect(words(html)).toContain('Stem to guide 0 of 12');
		expect(words(html)).toContain('Chamber volume 0 of 6');
		expect(html).not.toContain('<table');
	});
	it('stand with their marks, and with what they are held against', () => {
		add('1I', 'stem-clearance', '0.0070 in');
		add('2I', 'stem-clearance', '0.0020 in');
		const text = words(shown());
		expect(text).toContain('Stem to guide in, to 0.004');
		expect(text).toMatch(/1I .* 0\.007/);
		expect(shown()).toContain('text-stop');
	});
});
