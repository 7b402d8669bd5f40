/** What a job takes off the shelf by hand: springs, seals, retainers, whatever it is built of. */
import type { Person } from '@zinc-ledger/core';
import type { Database } from '../database/connection';
import { inTransaction } from '../database/transaction';
import { moveParts, takenBy } from '../parts/stock';
import { message } from '@zinc-ledger/core';
import { refuse } from '$lib/server/http/refuse';

/**
 * Takes parts for a job, or gives them back where `take` is less than 0: no more than it took.
 *
 * @returns what the job has taken now, and what lies on the shelf; null where nobody counts it
 * @throws {@link Short} where the shelf holds less
 */
export async function takeForJob(
	db: Database,
	jobId: string,
	part: string,
	take: number,
	person: Person
): Promise<{ readonly taken: number; readonly stock: number | null }> {
	return inTransaction(db, async (trx) => {
		const job = await trx
			.selectFrom('job')
			.select('id')
			.where('id', '=', jobId)
			.forUpdate()
			.executeTakeFirst();
		if (!job) refuse(404, message('server.unknown', { what: 'job' }));
		const known = await trx
			.selectFrom('part')
			.select('id')
			.where('id', '=', part)
			.executeTakeFirst();
		if (!known) refuse(404, message('server.unknown', { what: 'part' }));
		const before = (await takenBy(trx, jobId)).get(part) ?? 0;
		if (before + take < 0) refuse(409, message('stock.given-back-too-many', { taken: before }));
		const reason = take > 0 ? 'taken for the job' : 'given back';
		await moveParts(trx, [{ part, change: -take }], { reason, person: person.id, job: jobId });
		const { stock } = await trx
			.selectFrom('part')
			.select('stock')
			.where('id', '=', part)
			.executeTakeFirstOrThrow();
		return { taken: (await takenBy(trx, jobId)).get(part) ?? 0, stock };
	});
}
