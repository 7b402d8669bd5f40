/** The way through a job, and what is found without asking the server. */
import { beforeEach, describe, expect, it } from 'vitest';
import { assemblyOf, evaluate, type Job } from '@zinc-ledger/core';
import { JobStore } from '$lib/job/store/job-store.svelte';
import { demoJob } from '$lib/test/demo';
import { foundHere } from './found';
import { isAt, jobPages, nextOf, phasesOf } from './phases';

let job: Job;
let store: JobStore;
beforeEach(() => {
	job = demoJob('2417-straight-six');
	store = new JobStore(job, 1);
});

describe('the phases of a job', () => {
	it('are five in the order of the work, each with its stages and views', () => {
		const phases = phasesOf(store);
		expect(phases.map(({ name }) => name)).toEqual([
			'Prepare',
			'Measure',
			'Plan',
			'Build',
			'Hand over'
		]);
		expect(phases[1]!.items.map(({ name }) => name)).toEqual([
			'Heights',
			'Seal gaps',
			'Tip heights',
			'Springs',
			'All rounds',
			'Bare heights'
		]);
		expect(phases[0]!.done).toEqual([3, 3]);
		expect(phases[4]!.blocks).toBe(true);
		expect(phases[3]!.blocks).toBe(false);
	});
	it('have what this job has no use for yet behind "More"', () => {
		const extras = (of: Job) =>
			phasesOf(new JobStore(of, 1)).flatMap(({ items }) =>
				items.flatMap(({ name, isExtra }) => (isExtra ? [name] : []))
			);
		expect(extras(job)).toContain('Diagnosis');
		const back = extras(demoJob('2423-circuit-six-back'));
		for (const needed of ['Diagnosis', 'Changes', 'Springs']) expect(back).not.toContain(needed);
		expect(back).toContain('What if');
	});
	it('lead to pages of this job, each once', () => {
		const all = phasesOf(store).flatMap(({ items }) => items.map(({ href }) => href));
		expect(new Set(all).size).toBe(all.length);
		for (const href of all) expect(href).toMatch(/^\/(jobs|engines|springs)/);
	});
	it('know the page at hand, a round by what it measures', () => {
		const [heights, gaps] = phasesOf(store)[1]!.items;
		const url = new URL(`http://shop/jobs/${job.id}/round?of=installed-height`);
		expect([isAt(heights!, url), isAt(gaps!, url)]).toEqual([true, false]);
		const setup = phasesOf(store)[0]!.items[0]!;
		expect(isAt(setup, new URL(`http://shop/jobs/${job.id}/setup?at=limits`))).toBe(true);
	});
});

describe('what is next in the car', () => {
	const car = demoJob('2414-on-the-car');
	const at = (of = car) => {
		const next = nextOf(new JobStore(of, 1))!;
		return `${next.name} ${next.station ?? ''}`.trim();
	};
	it('is to build what was measured, before the next cylinder is begun', () => {
		// Cylinder 2 is measured and half built; 3 and 4 are neither.
		expect(at()).toMatch(/^Assembly 2[IE]$/);
	});
	it('is to measure a cylinder once it is held up and stripped, then to build it', () => {
		const bare = { ...car, readings: [], assembly: [] };
		expect(at(bare)).toBe('Assembly');
		const { steps } = assemblyOf(bare, evaluate(bare));
		const toFirst = steps.findIndex(({ place }) => place === '1I' || place === '1E');
		const held = { ...bare, assembly: car.assembly.slice(0, toFirst) };
		expect(at(held)).toMatch(/^Heights 1[IE]$/);
		const readings = car.readings.filter(({ station }) => station.startsWith('1'));
		expect(at({ ...held, readings })).toMatch(/^Assembly 1[IE]$/);
	});
	it('goes stage by stage on the bench, whatever was begun', () => {
		const bench = { ...car, setup: { ...car.setup, workLocation: 'bench' as const } };
		expect(at(bench)).toMatch(/^Heights 3[IE]$/);
	});
});

describe('what is next', () => {
	it('is the first stage that is not done, with the station it begins at', () => {
		expect(nextOf(store)).toEqual({
			name: 'Heights',
			station: '5I',
			href: `/jobs/${job.id}/round?of=installed-height`
		});
	});
	it('is what was left out before, and nothing that only tells', () => {
		delete job.setup.kinds.intake.lift;
		expect(nextOf(new JobStore(job, 1))!.name).toBe('Setup');
		const stages = store.stages.map((stage) => ({ ...stage, done: stage.name !== 'sheet' }));
		expect(nextOf({ job, sheet: store.sheet, stages })).toBeNull();
	});
});

describe('what is found here', () => {
	const names = (text: string, withJob = true) =>
		foundHere(text, withJob ? job : undefined, withJob ? jobPages(job) : []).map(
			({ name }) => name
		);
	it('are stations of the job at hand, pages of it, and pages of the shop', () => {
		expect(names('3e')[0]).toBe('3E');
		expect(names('seal')).toEqual(['Seal gaps', 'Add a part: seal']);
		expect(names('if')).toEqual(['What if']);
		expect(names('spr')).toEqual(['Springs', 'Springs', 'Add a part: spring']);
		expect(names('new')).toEqual(['New job']);
	});
	it('are no stations without a job, and nothing where nothing is typed', () => {
		expect(names('3e', false)).toEqual([]);
		expect(names('  ')).toEqual([]);
		expect(names('zzz')).toEqual([]);
	});
	it('leads to the station on the sheet', () => {
		expect(foundHere('12i', job)).toEqual([]);
		expect(foundHere('4E', job)[0]!.href).toBe(`/jobs/${job.id}?at=4E`);
	});
});
