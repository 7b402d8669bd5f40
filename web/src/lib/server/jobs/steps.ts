/** Steps of an assembly as they come in: none is kept whose turn has not come. */
import {
	assemblyOf,
	CHECKING_SPRING,
	evaluate,
	firstMissingPrerequisite,
	message,
	stepKey,
	type AssemblyStep,
	type Job
} from '@zinc-ledger/core';
import { label } from '@zinc-ledger/words';
import { refuse } from '../http/refuse';

/** A step of the assembly is kept only if nothing that must come before it is missing. */
export function refuseSkipped(job: Job, entry: AssemblyStep): void {
	if (entry.step === CHECKING_SPRING) {
		if (job.stations.some((station) => station.label === entry.place)) return;
		refuse(404, message('job.no-station', { station: entry.place }));
	}
	const { steps, done } = assemblyOf(job, evaluate(job));
	const step = steps.find(({ key }) => key === stepKey(entry.place, entry.step));
	if (!step) refuse(404, message('server.no-step', { step: entry.step, place: entry.place }));
	const lacking = entry.done && firstMissingPrerequisite(step, steps, done);
	if (lacking)
		refuse(
			409,
			message('entry.do-first', { place: lacking.place, step: label('step', lacking.step) })
		);
	if (entry.done && step.counts && entry.count === undefined)
		refuse(400, message('entry.count-missing'));
}
