/** How far a new shop is on its way to the first signed sheet. */
import { sql } from 'kysely';
import type { Database } from './database/connection';

/** The steps, in their order, each done by doing it. */
export interface FirstRun {
	readonly person: boolean;
	readonly gauge: boolean;
	readonly job: boolean;
	readonly heights: boolean;
}

/** Returns what is done so far; null once any sheet was signed, when nobody needs it any more. */
export async function firstRun(db: Database): Promise<FirstRun | null> {
	const { rows } = await sql<FirstRun & { signed: boolean }>`
		select exists (select from signed_sheet) as signed,
			exists (select from person) as person,
			exists (select from gauge) as gauge,
			exists (select from job) as job,
			exists (select from reading where quantity = 'installed-height') as heights
	`.execute(db);
	const { signed, ...steps } = rows[0]!;
	return signed ? null : steps;
}
