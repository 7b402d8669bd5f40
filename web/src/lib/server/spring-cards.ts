/** The shop's spring cards. */
import type { SpringCard } from '@zinc-ledger/core';
import type { Database } from './database/connection';

export async function listSpringCards(db: Database): Promise<SpringCard[]> {
	const rows = await db.selectFrom('spring_card').select('card').orderBy('created_at').execute();
	return rows.map((row) => row.card);
}
