/** Heads that come back: what was signed of them last, and the job of a visit. */
import { v7 as uuid } from 'uuid';
import { message, visitJob, type Job, type Person, type Since } from '@zinc-ledger/core';
import { checkJob } from '@zinc-ledger/core/file';
import { deriveService } from '../reporting/of-service';
import { loggingFailures } from '../reporting/logging-failures';
import type { Database } from '../database/connection';
import { findHead } from './heads';
import { importJob } from '../jobs/store';
import { findEngineById } from '../jobs/customers';
import { readSigned } from '@zinc-ledger/core/signed';
import { refuse } from '../http/refuse';

/** The sheet that was signed last of a head, on whatever job; undefined where none was. */
export const lastSignedOfHead = (db: Database, headId: string) =>
	db
		.selectFrom('head')
		.innerJoin('job', 'job.id', 'head.job_id')
		.innerJoin('signed_sheet', 'signed_sheet.job_id', 'job.id')
		.select(['signed_sheet.id', 'signed_sheet.revision', 'signed_sheet.at', 'signed_sheet.content'])
		.select(['job.id as jobId', 'job.number', 'head.id as place'])
		.where('head.cylinder_head_id', '=', headId)
		.orderBy('job.taken_in', 'desc')
		.orderBy('signed_sheet.revision', 'desc')
		.limit(1)
		.executeTakeFirst();

/** The other heads of the job that a head was signed on last, which may have come with it. */
export const otherHeads = (db: Database, jobId: string, headId: string) =>
	db
		.selectFrom('head')
		.innerJoin('cylinder_head', 'cylinder_head.id', 'head.cylinder_head_id')
		.select(['cylinder_head.id', 'head.name', 'cylinder_head.mark'])
		.where('head.job_id', '=', jobId)
		.where('cylinder_head.id', '!=', headId)
		.execute();

/**
 * Takes a head in again, with what happened since: a job as it was signed last.
 *
 * @param also another head that was signed with it and came back with it
 * @returns the job's id
 */
export async function beginVisit(
	db: Database,
	{ head, also, number }: { head: string; also: readonly string[]; number: string },
	since: Omit<Since, 'id' | 'person' | 'at'>,
	person: Person
): Promise<string> {
	const last = await lastSignedOfHead(db, head);
	if (!last) refuse(409, message('visit.nothing-signed'));
	const read = checkJob(readSigned(last.content).job);
	if (!read.ok) refuse(409, message('visit.nothing-signed'));
	const { engine, customer, heads, places } = await placesNow(db, last.jobId, [head, ...also]);
	const takenIn = new Date().toISOString();
	const job = visitJob(read.value, {
		id: uuid(),
		number,
		takenIn,
		customer,
		engine,
		heads,
		visitOf: {
			job: last.jobId,
			number: last.number,
			sheet: last.id,
			revision: last.revision,
			at: last.at.toISOString(),
			...(Object.keys(places).length > 0 && { places })
		}
	});
	if (!job) refuse(409, message('visit.other-layout'));
	const whole = {
		...job,
		people: [person],
		since: [{ id: uuid(), ...since, person: person.id, at: takenIn }]
	};
	// Its springs came with it: what is tested of them now is of this visit.
	const { problems } = await importJob(db, whole, (trx) =>
		trx.updateTable('spring_set').set({ job_id: job.id }).where('job_id', '=', last.jobId).execute()
	);
	if (problems[0]) refuse(409, problems[0].text);
	await loggingFailures(() => deriveService(db, whole));
	return job.id;
}

/** Where heads lie on their engine now, and where they lay on the job that they were signed on. */
async function placesNow(db: Database, jobId: string, ids: readonly string[]) {
	const found = await Promise.all(ids.map((id) => findHead(db, id)));
	const [first] = found;
	if (!first?.engineId) refuse(409, message('visit.no-engine'));
	if (found.some((one) => one?.engineId !== first.engineId))
		refuse(409, message('visit.other-engine'));
	const engine = await findEngineById(db, first.engineId);
	const owner = await db
		.selectFrom('engine')
		.innerJoin('customer', 'customer.id', 'engine.customer_id')
		.select(['customer.id', 'customer.name', 'customer.contact'])
		.where('engine.id', '=', first.engineId)
		.executeTakeFirstOrThrow();
	const then = await db
		.selectFrom('head')
		.select(['id', 'name', 'cylinder_head_id'])
		.where('job_id', '=', jobId)
		.execute();
	const places: Record<string, string> = {};
	const heads = found.map((one): Job['heads'][number] => {
		const was = then.find(({ cylinder_head_id }) => cylinder_head_id === one!.id);
		if (!was) refuse(409, message('visit.nothing-signed'));
		const moved = was.id !== one!.place;
		if (moved) places[one!.place] = was.id;
		return {
			id: one!.place,
			name: moved ? one!.place : was.name,
			identity: one!.id,
			...(one!.mark !== null && { mark: one!.mark })
		};
	});
	const { id, name, contact } = owner;
	return {
		customer: { id, name, ...(contact !== null && { contact }) },
		engine: { id: engine!.id, name: engine!.name, layout: engine!.layout },
		heads,
		places
	};
}
