/** Jobs as lines of a list: who, what, how far, what blocks. */
import type { Message, StageName } from '@zinc-ledger/core';
import type { JobLine } from '$lib/job/store/line';
import { deriveJobs } from '../reporting/of-job';
import type { Database } from '../database/connection';

/** The lines of these jobs, in their order. */
export async function jobLines(db: Database, ids: readonly string[]): Promise<JobLine[]> {
	if (ids.length === 0) return [];
	await deriveJobs(db, ids);
	const [jobs, stages] = await Promise.all([
		db
			.selectFrom('job')
			.innerJoin('job_state', 'job_state.job_id', 'job.id')
			.innerJoin('customer', 'customer.id', 'job.customer_id')
			.innerJoin('engine', 'engine.id', 'job.engine_id')
			.select(['job.id', 'number', 'taken_in', 'stations', 'stops', 'unclear'])
			.select(['customer.name as customer', 'customer.contact', 'engine.name as engine'])
			.select((select) => [
				select.ref('setup', '->').key('use').as('use'),
				select.ref('setup', '->').key('order').as('order')
			])
			.where('job.id', 'in', ids)
			.execute(),
		db
			.selectFrom('job_stage')
			.select(['job_id', 'stage', 'done', 'blocks', 'note'])
			.where('job_id', 'in', ids)
			.orderBy('position')
			.execute()
	]);
	return ids.flatMap((id): JobLine[] => {
		const row = jobs.find((job) => job.id === id);
		if (!row) return [];
		const own = stages
			.filter(({ job_id }) => job_id === id)
			.map(({ stage, done, blocks, note }) => ({
				name: stage as StageName,
				done,
				blocks,
				note: note as Message | null
			}));
		return [
			{
				id,
				number: row.number,
				takenIn: row.taken_in.toISOString(),
				customer: row.customer,
				contact: row.contact ?? undefined,
				engine: row.engine,
				duty: row.use.duty,
				due: row.order?.due,
				price: row.order?.price,
				stations: row.stations,
				stages: own,
				open: own.find(({ done }) => !done),
				stops: row.stops,
				unclear: row.unclear
			}
		];
	});
}
