/**
 * Jobs as lines of a list. A line is worked out from the whole job, and kept in memory for as
 * long as the job stands as it did: every change adds an entry to one of its lists or raises
 * the revision of its set-up.
 */
import { jobLine, type JobLine } from '$lib/job/line';
import type { Database } from '../database/connection';
import { newestSigned } from '../signed';
import { loadJobs } from './load';

const MOST_KEPT = 2000;
const kept = new Map<string, { readonly state: string; readonly line: JobLine }>();

/** The lines of these jobs, in their order. */
export async function jobLines(db: Database, ids: readonly string[]): Promise<JobLine[]> {
	if (ids.length === 0) return [];
	const states = await statesOf(db, ids);
	const fresh = ids.filter((id) => kept.get(id)?.state !== states.get(id));
	if (fresh.length > 0) {
		const [loaded, signed] = [await loadJobs(db, fresh), await newestSigned(db, fresh)];
		for (const { job } of loaded) {
			kept.delete(job.id);
			kept.set(job.id, { state: states.get(job.id)!, line: jobLine(job, signed.get(job.id)) });
		}
	}
	const lines = ids.flatMap((id) => kept.get(id)?.line ?? []);
	// The ones that were worked out longest ago go first.
	for (const id of kept.keys()) {
		if (kept.size <= MOST_KEPT) break;
		kept.delete(id);
	}
	return lines;
}

/** What tells a job as it stands from what it was: revision and number of entries, list by list. */
async function statesOf(
	db: Database,
	ids: readonly string[]
): Promise<ReadonlyMap<string, string>> {
	const rows = await db
		.selectFrom('job')
		.innerJoin('engine', 'engine.id', 'job.engine_id')
		.select(['job.id', 'revision', 'engine.layout'])
		.select((select) =>
			(['reading', 'reading_void', 'decision', 'job_entry', 'signed_sheet'] as const).map((table) =>
				select
					.selectFrom(table)
					.select(({ fn }) => fn.countAll<string>().as('count'))
					.whereRef(`${table}.job_id`, '=', 'job.id')
					.as(table)
			)
		)
		.where('job.id', 'in', ids)
		.execute();
	return new Map(rows.map(({ id, ...state }) => [id, JSON.stringify(state)]));
}
