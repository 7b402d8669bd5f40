import { Transaction } from 'kysely';
import type { Database } from './connection';
import { isToBeTriedAgain } from './faults';
import type { Tables } from './schema';

const MAX_TRIES = 6;
const FIRST_PAUSE = 5;

/**
 * Does work in one transaction, whole or not at all. Where two wait for each other the
 * database ends one of them; that one is begun again, after a pause that is no two's alike.
 * Within one that was begun already it is a part of that.
 * Work takes what it locks in one order: the job, its engine, its stations, then parts by id.
 */
export async function inTransaction<T>(
	db: Database,
	work: (trx: Transaction<Tables>) => Promise<T>
): Promise<T> {
	if (db instanceof Transaction) return work(db);
	for (let tries = 1; ; tries++) {
		try {
			return await db.transaction().execute(work);
		} catch (failure) {
			if (tries === MAX_TRIES || !isToBeTriedAgain(failure)) throw failure;
			const pause = FIRST_PAUSE * 2 ** tries * (0.5 + Math.random());
			await new Promise((later) => setTimeout(later, pause));
		}
	}
}
