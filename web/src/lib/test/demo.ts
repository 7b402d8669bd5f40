/** A job of the demo with a bench to read it at, for tests. */
import { readFileSync } from 'node:fs';
import type { Job } from '@zinc-ledger/core';
import { readJob } from '@zinc-ledger/core/file';
import { Bench } from '$lib/bench/bench.svelte';
import { JobStore } from '$lib/job/store/job-store.svelte';
import type { Around } from './rendered';

export function demoJob(name: string): Job {
	const read = readJob(readFileSync(`demo/jobs/${name}.json`, 'utf8'));
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	return read.value;
}

/** The job open at a bench where its first person works, in inches and pounds. */
export const atBench = (job: Job): Around => ({
	bench: new Bench(job.people[0] ?? null, { length: 'in', load: 'lbf' }),
	store: new JobStore(job, 1)
});
