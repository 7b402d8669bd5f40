/** Signed sheets that a customer opens by a link: read only, until a day, ended at any time. */
import { sql } from 'kysely';
import { v7 as uuid } from 'uuid';
import type { Person } from '@zinc-ledger/core';
import type { Share } from '$lib/access/share';
import type { Database } from '../database/connection';
import { keyOf, newToken } from './tokens';

const DAY = 24 * 3600 * 1000;

/** The links to the sheets of a job that still open something, newest first. */
export async function listShares(db: Database, jobId: string): Promise<Share[]> {
	const rows = await db
		.selectFrom('share')
		.innerJoin('signed_sheet', 'signed_sheet.id', 'share.sheet_id')
		.select(['share.id', 'revision', 'until', 'opened', 'opened_at'])
		.where('signed_sheet.job_id', '=', jobId)
		.where('ended_at', 'is', null)
		.where('until', '>', sql<Date>`now()`)
		.orderBy('made_at', 'desc')
		.execute();
	return rows.map(({ opened_at: last, until, ...row }) => ({
		...row,
		until: until.toISOString(),
		openedAt: last?.toISOString() ?? null
	}));
}

/**
 * Makes a link to a signed sheet of a job.
 *
 * @returns its token, which is kept nowhere; null where the job has no such sheet
 */
export async function share(
	db: Database,
	{ job, sheet, days, by }: { job: string; sheet: string; days: number; by: Person | null }
): Promise<{ readonly token: string; readonly until: Date } | null> {
	const signed = await db
		.selectFrom('signed_sheet')
		.select('id')
		.where('id', '=', sheet)
		.where('job_id', '=', job)
		.executeTakeFirst();
	if (!signed) return null;
	const token = newToken();
	const until = new Date(Date.now() + days * DAY);
	const row = { id: uuid(), key: keyOf(token), sheet_id: sheet, made_by: by?.id ?? null, until };
	await db.insertInto('share').values(row).execute();
	return { token, until };
}

/** Ends a link to a sheet of a job; false where it has none such. */
export async function endShare(db: Database, jobId: string, id: string): Promise<boolean> {
	const ended = await db
		.updateTable('share')
		.set({ ended_at: new Date() })
		.where('id', '=', id)
		.where('ended_at', 'is', null)
		.where('sheet_id', 'in', (from) =>
			from.selectFrom('signed_sheet').select('signed_sheet.id').where('job_id', '=', jobId)
		)
		.executeTakeFirst();
	return ended.numUpdatedRows > 0n;
}

/** The text of the sheet that a link opens, counted; null where it opens none, or no longer. */
export async function opened(
	db: Database,
	token: string,
	counts: boolean
): Promise<{ readonly sheet: string; readonly content: string; readonly until: Date } | null> {
	const row = await db
		.selectFrom('share')
		.innerJoin('signed_sheet', 'signed_sheet.id', 'share.sheet_id')
		.select(['share.id', 'sheet_id as sheet', 'content', 'until'])
		.where('key', '=', keyOf(token))
		.where('ended_at', 'is', null)
		.where('until', '>', sql<Date>`now()`)
		.executeTakeFirst();
	if (!row) return null;
	if (counts)
		await db
			.updateTable('share')
			.set({ opened: sql`opened + 1`, opened_at: new Date() })
			.where('id', '=', row.id)
			.execute();
	return row;
}
