/** A sample of a set is no set to place. */
import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { readJob } from '../../../job/document/file.ts';
import type { Job } from '../../../job/document/index.ts';
import { springsToPlace } from './springs-to-place.ts';

const read = readJob(readFileSync('demo/jobs/2426-placed-springs.json', 'utf8'));
if (!read.ok) throw new Error(JSON.stringify(read.problems));
const job = read.value;
const springs = job.setup.springs!;
const withSprings = (some: Job['setup']['springs']) => ({
	...job,
	setup: { ...job.setup, springs: some }
});

it('takes all of a set that has one for every valve, spares and all', () => {
	expect(springs.length).toBeGreaterThan(job.stations.length);
	expect(springsToPlace(job)).toHaveLength(springs.length);
	expect(springsToPlace(withSprings(springs.slice(0, 12)))).toHaveLength(12);
});
it('takes none of a sample', () => {
	expect(springsToPlace(withSprings(springs.slice(0, 1)))).toEqual([]);
	expect(springsToPlace(withSprings(springs.slice(0, 11)))).toEqual([]);
	expect(springsToPlace(withSprings([]))).toEqual([]);
});
it('wants none for valves that keep the spring they have', () => {
	const fixed = new Set(job.stations.slice(0, 11).map(({ label }) => label));
	const kept = new Set(job.stations.slice(0, 11).flatMap(({ spring }) => spring ?? []));
	const free = springs.filter(({ tag }) => !kept.has(tag));
	expect(springsToPlace(job, fixed)).toEqual(free);
	expect(springsToPlace(withSprings(springs.slice(0, 1)), fixed).length).toBeLessThanOrEqual(1);
});
it('keeps cards apart: enough of one is none of the other', () => {
	const other = springs.slice(0, 3).map((spring) => ({
		...spring,
		card: '0197a000-0000-7000-8000-00000000000f'
	}));
	const exhaust = { ...job.setup.kinds.exhaust };
	exhaust.spring = { ...exhaust.spring!, id: other[0]!.card };
	const two = {
		...job,
		setup: {
			...job.setup,
			kinds: { ...job.setup.kinds, exhaust },
			springs: [...springs, ...other]
		}
	};
	expect(springsToPlace(two)).toEqual(springs);
});
