/** Signed sheets: frozen text with its SHA-256, revised only by the next. */
import { v7 as uuid } from 'uuid';
import {
	entryCount,
	evaluate,
	furthest,
	scopeStatus,
	visitComparison,
	wholeJob,
	type Job,
	type Person,
	type Scope,
	type Sheet,
	type Signed,
	type Units
} from '@zinc-ledger/core';
import { checkJob } from '@zinc-ledger/core/file';
import { readSigned, signSheet } from '@zinc-ledger/core/signed';
import { sha256 } from '@zinc-ledger/core/signed-node';
import { write } from '@zinc-ledger/words';
import type { SignedEntry } from '$lib/job/store/signed';
import { deriveSheet } from '../reporting/of-sheet';
import type { Database } from '../database/connection';
import { inTransaction } from '../database/transaction';
import { loadJob } from '../jobs/load';
import { keyToSignWith } from './shop-key';
import { message } from '@zinc-ledger/core';
import { refuse } from '$lib/server/http/refuse';

/** The signed sheets of a job, newest first. */
export async function listSigned(db: Database, jobId: string): Promise<SignedEntry[]> {
	const rows = await db
		.selectFrom('signed_sheet')
		.innerJoin('person', 'person.id', 'signed_sheet.person_id')
		.select(['signed_sheet.id', 'revision', 'entries', 'sha256', 'person.name as person', 'at'])
		.where('job_id', '=', jobId)
		.orderBy('revision', 'desc')
		.execute();
	return rows.map((row) => ({ ...row, at: row.at.toISOString() }));
}

/** The newest signed sheet of each of several jobs. */
export async function newestSigned(
	db: Database,
	jobIds: readonly string[]
): Promise<ReadonlyMap<string, Signed>> {
	if (jobIds.length === 0) return new Map();
	const rows = await db
		.selectFrom('signed_sheet')
		.distinctOn('job_id')
		.select(['job_id', 'revision', 'entries'])
		.where('job_id', 'in', jobIds)
		.orderBy('job_id')
		.orderBy('revision', 'desc')
		.execute();
	return new Map(rows.map(({ job_id, ...signed }) => [job_id, signed]));
}

/** A signed sheet as text, byte for byte as it was signed. */
export async function signedText(db: Database, jobId: string, id: string): Promise<string> {
	const row = await db
		.selectFrom('signed_sheet')
		.select('content')
		.where('job_id', '=', jobId)
		.where('id', '=', id)
		.executeTakeFirst();
	if (!row) refuse(404, message('server.unknown', { what: 'signed-sheet' }));
	return row.content;
}

/** The sheet that a visit starts from; else the newest that was signed of one of its heads on an earlier job; null where there is none. */
export async function signedBefore(db: Database, jobId: string) {
	const sheets = db
		.selectFrom('signed_sheet')
		.innerJoin('job', 'job.id', 'signed_sheet.job_id')
		.select(['job.id as job', 'job.number', 'signed_sheet.revision', 'signed_sheet.at', 'content']);
	const visit = await db
		.selectFrom('job')
		.select('visit_of')
		.where('id', '=', jobId)
		.executeTakeFirst();
	const row =
		(visit?.visit_of &&
			(await sheets.where('signed_sheet.id', '=', visit.visit_of.sheet).executeTakeFirst())) ??
		(await sheets
			.innerJoin('head', 'head.job_id', 'job.id')
			.innerJoin('head as here', 'here.cylinder_head_id', 'head.cylinder_head_id')
			.innerJoin('job as back', 'back.id', 'here.job_id')
			.where('back.id', '=', jobId)
			.where('job.id', '!=', jobId)
			.whereRef('job.taken_in', '<', 'back.taken_in')
			.orderBy('job.taken_in', 'desc')
			.orderBy('signed_sheet.revision', 'desc')
			.limit(1)
			.executeTakeFirst());
	return row ? { ...row, at: row.at.toISOString() } : null;
}

/** The job frozen in the sheet that a visit starts from, with what that sheet is; null where there is none that can be read. */
export async function jobSignedBefore(db: Database, jobId: string) {
	const found = await signedBefore(db, jobId);
	if (!found) return null;
	const { content, ...about } = found;
	const read = checkJob(readSigned(content).job);
	return read.ok ? { ...about, signed: read.value } : null;
}

/** Refuses a scope that nothing was read in, that lacks something, or in which something is open. */
function checkScope(job: Job, sheet: Sheet, scope: Scope, then: Job | null): void {
	const known = new Set(job.stations.map(({ label }) => label));
	const stranger = scope.stations.find((label) => !known.has(label));
	if (stranger !== undefined) refuse(400, message('job.no-station', { station: stranger }));
	const { isRead, lacking, items } = scopeStatus(
		job,
		sheet,
		scope,
		then ? visitComparison(then, job) : []
	);
	if (!isRead) refuse(409, message('scope.empty'));
	const [first] = lacking;
	if (first) refuse(409, message('scope.lacks', { ...first }));
	const open = items.find(({ severity, acceptance }) => severity !== 'info' && !acceptance);
	if (open) refuse(409, message('sign.blocked', { place: open.place }));
}

/**
 * Signs a job as it stands, if its scope is whole and nothing blocks it; a sheet signed before
 * is named and stays as it is.
 *
 * @param wanted the furthest that the whole job can be signed for, where none is named
 * @param known id and time of a sheet that was signed before it came here
 */
export async function signJob(
	db: Database,
	jobId: string,
	person: Person,
	units: Units,
	wanted?: Scope,
	known: { readonly id: string; readonly at: string } = {
		id: uuid(),
		at: new Date().toISOString()
	}
): Promise<SignedEntry> {
	return inTransaction(db, async (trx) => {
		// Two who sign at once wait for each other here.
		await trx.selectFrom('job').select('id').where('id', '=', jobId).forUpdate().execute();
		const loaded = await loadJob(trx, jobId);
		if (!loaded) refuse(404, message('server.unknown', { what: 'job' }));
		const { job } = loaded;
		const sheet = evaluate(job);
		const scope = wanted ?? wholeJob(job, furthest(job, sheet) ?? 'measured');
		const then = job.visitOf ? await jobSignedBefore(trx, jobId) : null;
		checkScope(job, sheet, scope, then?.signed ?? null);
		const [last] = await listSigned(trx, jobId);
		const { id, at } = known;
		const revision = (last?.revision ?? 0) + 1;
		const supersedes = last && { id: last.id, sha256: last.sha256 };
		const content = signSheet(
			job,
			{
				id,
				revision,
				...(supersedes && { supersedes }),
				person,
				at,
				scope: {
					name: scope.name,
					stations: [...scope.stations],
					leftOut: job.setup.leftOut ?? []
				}
			},
			units,
			{ sha256, write, key: await keyToSignWith(trx) },
			then?.signed
		);
		const digest = readSigned(content).sha256;
		const entries = entryCount(job);
		const row = { id, job_id: jobId, revision, content };
		await trx
			.insertInto('signed_sheet')
			.values({ ...row, entries, sha256: digest, person_id: person.id, at: new Date(at) })
			.execute();
		await deriveSheet(trx, row);
		return { id, revision, entries, sha256: digest, person: person.name, at };
	});
}
