/** A job as a line of the list, and a station in full. */
import { beforeEach, describe, expect, it } from 'vitest';
import { evaluate, stagesOf, type Job } from '@zinc-ledger/core';
import { atBench, demoJob } from '$lib/test/demo';
import { markup, words, type Around } from '$lib/test/rendered';
import JobTable from './JobTable.svelte';
import type { JobLine } from './line';
import StationDetail from './StationDetail.svelte';

let job: Job;
let around: Around;
beforeEach(() => {
	job = demoJob('2417-straight-six');
	around = atBench(job);
});

/** As the server makes it of the rows it keeps. */
function line(of: Job): JobLine {
	const sheet = evaluate(of);
	const stages = stagesOf(of, sheet);
	const at = (states: readonly string[]) =>
		sheet.stations.filter(({ state }) => states.includes(state)).map(({ label }) => label);
	return {
		id: of.id,
		number: of.number,
		takenIn: of.takenIn,
		customer: of.customer.name,
		contact: of.customer.contact,
		engine: of.engine.name,
		duty: of.setup.use.duty,
		due: undefined,
		price: undefined,
		stations: sheet.stations.length,
		stops: at(['stop']),
		unclear: at(['watch', 'inconclusive']).length,
		stages,
		open: stages.find(({ done }) => !done)
	};
}

describe('a job in the list', () => {
	const shown = (of = job) => words(markup(JobTable, { jobs: [line(of)] }, around));
	it('says who, what, how far, and what stands at stop', () => {
		expect(shown()).toContain('2417 Tilde Harrow Harrow Hill Racing Haldric 3.4 straight six');
		expect(shown()).toContain('Heights: 8 of 12');
		expect(shown()).toMatch(/stop 4E/);
	});
	it('says what must be settled first', () => {
		delete job.setup.kinds.exhaust.spring;
		expect(shown()).toContain('exhaust: no spring');
	});
	it('has a mark a stage, the one at hand in the accent', () => {
		const html = markup(JobTable, { jobs: [line(job)] }, around);
		expect(html.match(/class="flex-1 bg-/g)).toHaveLength(line(job).stages.length);
		expect(html.match(/bg-chromate"/g)).toHaveLength(1);
	});
});

describe('a station in full', () => {
	const shown = (label: string) =>
		words(markup(StationDetail, { station: around.store.station(label)! }, around));
	it('has its section, what to fit, and what stands in the stack', () => {
		expect(shown('4E')).toContain('1.867 installed');
		expect(shown('4E')).toContain('Record these shims');
		expect(shown('4E')).toMatch(/Locator 0\.060/);
	});
	it('has each reading with who took it, to be voided', () => {
		expect(shown('4E')).toMatch(/1\.867 in installed height · RT Void/);
	});
	it('has nothing to fit where nothing is suggested', () => {
		expect(shown('1I')).not.toContain('Record these shims');
	});
	it('shows a voided reading struck, with the reason', () => {
		const reading = job.readings.find(({ station }) => station === '1I')!;
		job.voids.push({
			id: crypto.randomUUID(),
			reading: reading.id,
			reason: 'slipped',
			person: job.people[0]!.id,
			at: '2026-11-20T09:00:00Z'
		});
		around = atBench(job);
		expect(shown('1I')).toContain('slipped');
	});
});
