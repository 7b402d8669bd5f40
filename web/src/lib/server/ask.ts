import { error } from '@sveltejs/kit';
import { database } from './database';
import { isDatabaseAway, type Database } from './database/connection';
import { log } from './log';

export const AWAY: App.Error = {
	message: 'The database is away.',
	advice: 'Nothing is lost: figures typed here wait in this browser. This page keeps trying.'
};

/**
 * Asks the database something. When it is away the answer is a 503 that says
 * so; the page then keeps trying by itself.
 */
export async function ask<T>(question: (db: Database) => Promise<T>): Promise<T> {
	try {
		return await question(await database());
	} catch (failure) {
		if (!isDatabaseAway(failure)) throw failure;
		log.warn({ error: (failure as Error).message }, 'database away');
		error(503, AWAY);
	}
}
