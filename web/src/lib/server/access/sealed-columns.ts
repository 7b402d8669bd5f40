/** The columns that are kept under a key, brought under another as a whole. */
import type { Database } from '../database/connection';
import { inTransaction } from '../database/transaction';
import { ownKey, seal, unseal } from './sealed-text';

const COLUMNS = ['pin', 'second_factor'] as const;

/** What no key opens, by how many people it belongs to. */
export type Unopened = Readonly<Record<(typeof COLUMNS)[number], number>>;

/**
 * Brings every PIN and second factor under one key: what is in clear since an earlier release,
 * and what is under another key, of a machine that the database was backed up on.
 *
 * @param others keys that they may be under
 * @returns how many opened with none, and are taken away: they must be set up again
 */
export async function sealAll(
	db: Database,
	others: readonly (string | undefined)[] = [],
	key = ownKey()
): Promise<Unopened> {
	const keys = [key, ...others].filter((one) => one !== undefined);
	return inTransaction(db, async (trx) => {
		const unopened = { pin: 0, second_factor: 0 };
		const rows = await trx
			.selectFrom('sign_in')
			.select(['person_id', ...COLUMNS])
			.orderBy('person_id')
			.forUpdate()
			.execute();
		for (const row of rows)
			for (const column of COLUMNS) {
				const kept = row[column];
				if (kept === null) continue;
				const text = keys.map((one) => unseal(kept, one)).find((opened) => opened !== null);
				if (text === undefined) unopened[column]++;
				await trx
					.updateTable('sign_in')
					.set({ [column]: text === undefined ? null : seal(text, key) })
					.where('person_id', '=', row.person_id)
					.execute();
			}
		return unopened;
	});
}

/** Seals what an earlier release kept in clear; what is sealed is left as it is, whatever its key. */
export async function sealClear(db: Database): Promise<void> {
	for (const column of COLUMNS) {
		const rows = await db
			.selectFrom('sign_in')
			.select(['person_id', column])
			.where(column, 'is not', null)
			.where(column, 'not like', 'sealed:%')
			.execute();
		for (const row of rows)
			await db
				.updateTable('sign_in')
				.set({ [column]: seal(row[column]!) })
				.where('person_id', '=', row.person_id)
				.where(column, '=', row[column])
				.execute();
	}
}
