import { error } from '@sveltejs/kit';
import { database } from './database';
import type { Database } from './database/connection';
import { faultOf } from './database/faults';
import { AlreadyKept } from './jobs/once';
import { log } from './log';
import { noteNoRoom } from './room';
import { Short } from './parts/stock';
import { message } from '@zinc-ledger/core';
import { tell } from '@zinc-ledger/words';
import { refuse, asError } from './http/refuse';

export const AWAY: App.Error = {
	...asError(message('server.database-away')),
	advice: tell(message('server.database-away-advice'))
};
const FULL: App.Error = {
	...asError(message('server.disk-full')),
	advice: tell(message('server.disk-full-advice'))
};

/**
 * Asks the database something. What hinders it is told as what it is: away, no room,
 * something that no column takes, or that is there already.
 */
export async function withDatabase<T>(question: (db: Database) => Promise<T>): Promise<T> {
	try {
		return await question(await database());
	} catch (failure) {
		if (failure instanceof AlreadyKept || failure instanceof Short) refuse(409, failure.says);
		const fault = faultOf(failure);
		if (fault === null) throw failure;
		const { message: why } = failure as Error;
		if (fault === 'away') {
			log.warn({ error: why }, 'database away');
			error(503, AWAY);
		}
		if (fault === 'full') {
			noteNoRoom();
			log.warn({ error: why }, 'no room');
			error(507, FULL);
		}
		log.info({ error: why, fault }, 'refused by the database');
		if (fault === 'taken') refuse(409, message('server.taken'));
		refuse(400, message(fault === 'unknown' ? 'server.names-nothing' : 'server.cannot-keep'));
	}
}
