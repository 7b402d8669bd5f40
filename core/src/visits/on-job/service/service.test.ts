import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readJob } from '../../../job/document/file.ts';
import { lifeUsed, priceOfService, servedParts, serviceTold } from './service.ts';

const NONE = { hours: 0, runs: 0, kilometres: 0, cycles: 0, overSpeed: 0 };
const entry = { id: 'x', person: 'x', at: '2026-01-01T00:00:00.000Z' };

describe('service', () => {
	it('counts cycles of the cam at most, and only where hours and speed were told', () => {
		expect(serviceTold({ ...entry, hours: 10, highestSpeed: 6000 })).toMatchObject({
			hours: 10,
			runs: null,
			cycles: 1_800_000
		});
		expect(serviceTold({ ...entry, hours: 10 }).cycles).toBeNull();
		expect(serviceTold({ ...entry, overSpeed: 0 }).overSpeed).toBe(0);
	});
	it('uses up the limit that is nearest, and so much more for each over-speed', () => {
		expect(lifeUsed({ ...NONE, hours: 30, runs: 10 }, { hours: 40, runs: 100 })).toBe(0.75);
		expect(
			lifeUsed({ ...NONE, hours: 30, overSpeed: 2 }, { hours: 40, overSpeed: 0.1 })
		).toBeCloseTo(0.95, 12);
		expect(lifeUsed({ ...NONE, hours: 30 }, {})).toBeNull();
		expect(lifeUsed({ ...NONE, overSpeed: 1 }, { overSpeed: 1 })).toBe(1);
	});
	it('has its price an hour, a run or a kilometre, by the shorter of limit and loads', () => {
		expect(priceOfService(15, { hours: 30 })).toEqual({ per: 0.5, unit: 'hours', life: 30 });
		const sooner = { unit: 'hours', life: 10 } as const;
		expect(priceOfService(15, { hours: 30 }, sooner)).toMatchObject({ per: 1.5, life: 10 });
		expect(priceOfService(15, {}, sooner)).toMatchObject({ per: 1.5 });
		// Loads followed by hours say nothing of runs.
		expect(priceOfService(15, { runs: 60 }, sooner)).toMatchObject({ per: 0.25, unit: 'runs' });
		expect(priceOfService(15, { cycles: 1e6 })).toBeNull();
		expect(priceOfService(15, {})).toBeNull();
	});
	it('knows tagged springs by set and tag, and other parts by their station', () => {
		const read = readJob(readFileSync('demo/jobs/2426-placed-springs.json', 'utf8'));
		if (!read.ok) throw new Error('demo');
		const parts = servedParts(read.value);
		const springs = parts.filter(({ part }) => part === 'spring');
		expect(springs.length).toBe(read.value.stations.length);
		const tagged = read.value.stations.filter(({ spring }) => spring !== undefined);
		expect(tagged.length).toBeGreaterThan(0);
		for (const { label, spring } of tagged)
			expect(springs.find(({ station }) => station === label)?.tag?.tag).toBe(spring);
	});
});
