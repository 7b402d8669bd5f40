import { readFileSync } from 'node:fs';
import { beforeEach, describe, expect, it } from 'vitest';
import { evaluate, partsNeeded, type Job } from '../../index.ts';
import { readJob } from '../../job/document/file.ts';

let job: Job;
beforeEach(() => {
	const read = readJob(readFileSync('demo/jobs/2417-straight-six.json', 'utf8'));
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	job = read.value;
});
const needed = () => partsNeeded(job, evaluate(job));

describe('what a job needs', () => {
	it('are the shims that are suggested, against what the job counts', () => {
		expect(needed().map(({ thickness, wanted, counted }) => [thickness, wanted, counted])).toEqual([
			[expect.closeTo(0.762, 6), 1, 11],
			[expect.closeTo(0.381, 6), 1, 18]
		]);
		delete job.setup.shimStock[0]!.count;
		expect(needed()[1]!.counted).toBeNull();
	});
	it('is a shim of whatever size where none that the job has would do', () => {
		for (const size of job.setup.shimStock) size.count = 0;
		expect(needed()).toEqual([
			{ part: 'shim', kind: null, thickness: null, wanted: 1, counted: 0 }
		]);
	});
	it('are the parts that hold a valve, unless every station has its own', () => {
		delete job.setup.kinds.intake.locks;
		expect(needed()[0]).toEqual({
			part: 'locks',
			kind: 'intake',
			thickness: null,
			wanted: 6,
			counted: 0
		});
		for (const station of job.stations)
			station.parts = { locks: { name: 'Own', offset: '0 mm', angle: 7 } };
		expect(needed().some(({ part }) => part === 'locks')).toBe(false);
	});
	it('is nothing of a shim that lies there already', () => {
		job.stations.find(({ label }) => label === '4E')!.shims = ['0.030 in', '0.015 in'];
		expect(needed()).toEqual([]);
	});
});
