/** What was tried on the built head, a line a valve. */
import { beforeEach, describe, expect, it } from 'vitest';
import type { Check, Job } from '@zinc-ledger/core';
import { atBench, demoJob } from '$lib/test/demo';
import { markup, words, type Around } from '$lib/test/rendered';
import CheckTable from './CheckTable.svelte';

let job: Job;
let around: Around;
beforeEach(() => {
	job = demoJob('2417-straight-six');
	around = atBench(job);
});
const stamp = () => ({
	id: crypto.randomUUID(),
	person: job.people[0]!.id,
	at: '2026-11-24T09:00:00Z'
});
const vacuum = (reached: string): Check => ({
	type: 'vacuum',
	station: '1I',
	reached,
	min: '15 inHg',
	seconds: 10,
	...stamp()
});
const line = (label: string) => {
	around = atBench(job);
	const html = markup(CheckTable, { stations: around.store.sheet.stations }, around);
	return html
		.split('<tr')
		.map((one) => words(`<tr${one}`))
		.find((text) => text.startsWith(label))!;
};

describe('the checks so far', () => {
	it('are dots where nothing was tried', () => {
		expect(line('1I')).toMatch(/^1I( ·| none)* ?·?/);
		expect(line('1I')).not.toContain('inHg');
	});
	it('have the vacuum with its time, and stop one that did not hold', () => {
		job.checks.push(vacuum('22 inHg'));
		expect(line('1I')).toMatch(/^1I 22 inHg, 10 s/);
		job.checks.push({ ...vacuum('9 inHg'), at: '2026-11-25T09:00:00Z' });
		expect(line('1I')).toMatch(/^1I stop 9 inHg, 10 s/);
	});
	it('name the passage that touches', () => {
		job.checks.push({
			type: 'passage',
			station: '2E',
			passage: 'pushrod',
			passes: false,
			...stamp()
		});
		expect(line('2E')).toMatch(/pushrod/);
	});
	it('have the least room to the piston, judged', () => {
		job.checks.push({
			type: 'piston-to-valve',
			station: '3I',
			method: 'clay',
			points: [
				{ angle: -10, room: '0.060 in' },
				{ angle: 10, room: '0.120 in' }
			],
			...stamp()
		});
		expect(line('3I')).toMatch(/stop .*0\.060/);
	});
});
