/** The assembly of a job: its steps and what is done of them, worked out once for a sheet. */
import type { AssemblyStep, Job } from '../job/document/index.ts';
import type { Sheet } from '../sheet/evaluation/index.ts';
import { doneSteps, type Done } from './progress.ts';
import { CHECKING_SPRING } from './checking-springs.ts';
import type { Step } from './step.ts';
import { assemblySteps } from './steps.ts';

export interface Assembly {
	readonly steps: readonly Step[];
	readonly done: Done;
}

/** A height that stands is its own tick once its station is begun: measuring and building alternate in the car. */
function measured(job: Job, sheet: Sheet, steps: readonly Step[]): AssemblyStep[] {
	const begun = new Set(job.assembly.filter(({ done }) => done).map(({ place }) => place));
	return steps
		.filter(({ step, place }) => step === 'measure' && begun.has(place))
		.flatMap(({ place, step }) => {
			const read = sheet.stations.find(({ label }) => label === place)?.inForce['installed-height'];
			return read
				? [{ id: read.id, place, step, done: true, person: read.person, at: read.at }]
				: [];
		});
}

/** What was ticked, without what only says that a checking spring went in or out. */
const ticks = ({ assembly }: Job): AssemblyStep[] =>
	assembly.filter(({ step }) => step !== CHECKING_SPRING);

/** Whether anything was built yet. */
export const isBegun = (job: Job): boolean => ticks(job).some(({ done }) => done);

const known = new WeakMap<Sheet, Assembly>();

/** @param sheet what the job comes to, as `evaluate` has it */
export function assemblyOf(job: Job, sheet: Sheet): Assembly {
	const before = known.get(sheet);
	if (before) return before;
	const steps = assemblySteps(job, sheet);
	const done = doneSteps(steps, [...measured(job, sheet, steps), ...ticks(job)]);
	const assembly = { steps, done };
	known.set(sheet, assembly);
	return assembly;
}
