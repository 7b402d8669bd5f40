/** A job as one line of a list: who, what, how far, what blocks. */
import { evaluate, stagesOf, type Job, type Signed } from '@zinc-ledger/core';

/** @param signed its newest signed sheet */
export function jobLine(job: Job, signed: Signed | null = null) {
	const sheet = evaluate(job);
	const stages = stagesOf(job, sheet, signed);
	return {
		id: job.id,
		number: job.number,
		takenIn: job.takenIn,
		customer: job.customer.name,
		contact: job.customer.contact,
		engine: job.engine.name,
		duty: job.setup.use.duty,
		stations: sheet.stations.length,
		stages,
		open: stages.find((stage) => !stage.done),
		stops: sheet.stations
			.filter((station) => station.state === 'stop')
			.map((station) => station.label),
		unclear: sheet.stations.filter(
			(station) => station.state === 'inconclusive' || station.state === 'watch'
		).length
	};
}
export type JobLine = ReturnType<typeof jobLine>;
