/** The assembly of a job: its steps and what is done of them, worked out once for a sheet. */
import type { Job } from '../document/index.ts';
import type { Sheet } from '../evaluation/index.ts';
import { doneSteps, type Done } from './progress.ts';
import { assemblySteps, type Step } from './steps.ts';

export interface Assembly {
	readonly steps: readonly Step[];
	readonly done: Done;
}

const known = new WeakMap<Sheet, Assembly>();

/** @param sheet what the job comes to, as `evaluate` has it */
export function assemblyOf(job: Job, sheet: Sheet): Assembly {
	const before = known.get(sheet);
	if (before) return before;
	const steps = assemblySteps(job, sheet);
	const assembly = { steps, done: doneSteps(steps, job.assembly) };
	known.set(sheet, assembly);
	return assembly;
}
