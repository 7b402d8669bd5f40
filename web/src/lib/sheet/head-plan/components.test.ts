import { beforeEach, describe, expect, it } from 'vitest';
import type { Job } from '@zinc-ledger/core';
import { atBench, demoJob } from '$lib/test/demo';
import { markup, type Around } from '$lib/test/rendered';
import HeadPlan from './HeadPlan.svelte';

let job: Job;
let around: Around;
beforeEach(() => {
	job = demoJob('2417-straight-six');
	around = atBench(job);
});
const plan = (given: Partial<Parameters<typeof HeadPlan>[1]> = {}) =>
	markup(HeadPlan as never, { job, stations: around.store.sheet.stations, ...given }, around);
const valve = (html: string, label: string) =>
	html.split('data-station=').find((one) => one.startsWith(`"${label}"`))!;
const labels = (html: string) =>
	[...html.matchAll(/aria-label="([^"]*)"/g)].map(([, text]) => text);

describe('the head plan', () => {
	it('says of every valve what was read and how it stands', () => {
		const names = labels(plan());
		expect(names).toContain('1I, 1.818 in, not measured');
		expect(names).toContain('4E, 1.867 in, stop');
		expect(names).toContain('5I, not measured');
		expect(names[0]).toBe('Head plan');
	});
	it('is a drawing where nothing can be chosen, and the way to a station where it can', () => {
		expect(plan()).not.toContain('<button');
		expect(plan()).toContain('tabindex="0"');
		const html = plan({ onselect: () => undefined, selected: '3I' });
		expect(html.match(/<button/g)).toHaveLength(12);
		expect(html.match(/aria-pressed="true"/g)).toHaveLength(1);
		expect(html.match(/tabindex="0"/g)).toHaveLength(1);
	});
	it('draws dashed what is not read yet, by the quantity at hand', () => {
		expect(valve(plan(), '5I')).toContain('border-dashed');
		expect(valve(plan(), '4I')).not.toContain('border-dashed');
		expect(valve(plan({ measured: 'seal-gap' }), '4I')).toContain('border-dashed');
	});
	it('tells what was inspected, or built, instead', () => {
		expect(labels(plan({ seen: true }))).toContain('4E, inspected, stop');
		const done = { is: ({ label }: { label: string }) => label === '2I', word: 'built' };
		const names = labels(plan({ done } as never));
		expect(names).toContain('2I, built');
		expect(names).toContain('2E, not built');
	});
	it('needs a pitch at which no valve lies on another', () => {
		const widest = (name: string) => {
			const own = demoJob(name);
			const stations = atBench(own).store.sheet.stations;
			const html = markup(HeadPlan as never, { job: own, stations }, around);
			return [...html.matchAll(/min-width: ?([\d.]+)px/g)].map(([, px]) => Number(px));
		};
		const [six] = widest('2417-straight-six');
		expect(six! / 6).toBeGreaterThan(100);
		// Both heads of a V beside each other or one under the other.
		expect(widest('2421-marine-v8')).toHaveLength(2);
	});
	it('names the heads of an engine that has two', () => {
		const own = demoJob('2421-marine-v8');
		const html = markup(
			HeadPlan as never,
			{ job: own, stations: atBench(own).store.sheet.stations },
			around
		);
		expect(html).toContain('left head, seen from above');
		expect(plan()).not.toContain('seen from above');
	});
});
