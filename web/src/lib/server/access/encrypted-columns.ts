/** The encrypted columns, re-encrypted together. */
import type { Database } from '../database/connection';
import { inTransaction } from '../database/transaction';
import { ownKey, encrypt, decrypt } from './encrypted-text';

const COLUMNS = ['pin', 'second_factor'] as const;

/** How many values no key opens, by column. */
export type Unopened = Readonly<Record<(typeof COLUMNS)[number], number>>;

/**
 * Encrypts every PIN and second factor with one key, whether it was in clear (earlier releases) or
 * encrypted with another key (the machine that was backed up).
 *
 * @param others keys that the columns may be encrypted with
 * @returns how many no key opens; those are removed and must be set up again
 */
export async function encryptAll(
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
				const text = keys.map((one) => decrypt(kept, one)).find((opened) => opened !== null);
				if (text === undefined) unopened[column]++;
				await trx
					.updateTable('sign_in')
					.set({ [column]: text === undefined ? null : encrypt(text, key) })
					.where('person_id', '=', row.person_id)
					.execute();
			}
		return unopened;
	});
}

/** Encrypts what an earlier release stored in clear, and leaves encrypted values alone. */
export async function encryptClear(db: Database): Promise<void> {
	for (const column of COLUMNS) {
		const rows = await db
			.selectFrom('sign_in')
			.select(['person_id', column])
			.where(column, 'is not', null)
			.where(column, 'not like', 'encrypted:%')
			.execute();
		for (const row of rows)
			await db
				.updateTable('sign_in')
				.set({ [column]: encrypt(row[column]!) })
				.where('person_id', '=', row.person_id)
				.where(column, '=', row[column])
				.execute();
	}
}
