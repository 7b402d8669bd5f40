/** How a job stands, as rows: worked out from the whole job, and only made anew once it changed. */
import { sql } from 'kysely';
import { evaluate, partsNeeded, stagesOf, type Job, type Signed } from '@zinc-ledger/core';
import type { Database } from '../database/connection';
import { inTransaction } from '../database/transaction';
import { loadJobs } from '../jobs/load';
import { newestSigned } from '../signing/signed';
import { deriveService } from './of-service';

/** A job as it stands: its stages, its stations, what it needs. */
export function jobState(job: Job, signed: Signed | null = null) {
	const sheet = evaluate(job);
	return {
		stations: sheet.stations.length,
		stops: sheet.stations.filter(({ state }) => state === 'stop').map(({ label }) => label),
		unclear: sheet.stations.filter(({ state }) => state === 'inconclusive' || state === 'watch')
			.length,
		stages: stagesOf(job, sheet, signed),
		needs: partsNeeded(job, sheet)
	};
}

/** Makes the rows of those of these jobs that have none, or changed since they were made. */
export async function deriveJobs(db: Database, ids: readonly string[]): Promise<void> {
	if (ids.length === 0) return;
	const sources = await sourcesOf(db, ids);
	const known = await db
		.selectFrom('job_state')
		.select(['job_id', 'source'])
		.where('job_id', 'in', ids)
		.execute();
	const before = new Map(known.map(({ job_id, source }) => [job_id, source]));
	const changed = ids.filter((id) => sources.has(id) && before.get(id) !== sources.get(id));
	if (changed.length === 0) return;
	const [loaded, signed] = [await loadJobs(db, changed), await newestSigned(db, changed)];
	for (const { job } of loaded) {
		await keepState(db, job.id, sources.get(job.id)!, jobState(job, signed.get(job.id)));
		await deriveService(db, job);
	}
}

async function keepState(
	db: Database,
	id: string,
	source: string,
	{ stations, stops, unclear, stages, needs }: ReturnType<typeof jobState>
): Promise<void> {
	await inTransaction(db, async (trx) => {
		const state = { source, stations, stops, unclear };
		// Two who make the same rows wait for each other here.
		await trx
			.insertInto('job_state')
			.values({ job_id: id, ...state })
			.onConflict((conflict) => conflict.column('job_id').doUpdateSet(state))
			.execute();
		await trx.deleteFrom('job_stage').where('job_id', '=', id).execute();
		await trx.deleteFrom('part_need').where('job_id', '=', id).execute();
		await trx
			.insertInto('job_stage')
			.values(
				stages.map(({ name, done, blocks, note }, position) => ({
					job_id: id,
					position,
					stage: name,
					done,
					blocks,
					note: note && JSON.stringify(note)
				}))
			)
			.execute();
		if (needs.length > 0)
			await trx
				.insertInto('part_need')
				.values(needs.map((need) => ({ job_id: id, ...need })))
				.execute();
	});
}

/**
 * What tells a job as it stands from what it was: every change adds an entry to one of its
 * lists or raises the revision of its setup.
 */
async function sourcesOf(
	db: Database,
	ids: readonly string[]
): Promise<ReadonlyMap<string, string>> {
	const rows = await db
		.selectFrom('job')
		.innerJoin('engine', 'engine.id', 'job.engine_id')
		.select(['job.id', 'revision'])
		.select(sql<string>`md5(engine.layout::text)`.as('layout'))
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
	return new Map(rows.map(({ id, ...source }) => [id, Object.values(source).join(' ')]));
}
