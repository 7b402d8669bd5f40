import { error } from '@sveltejs/kit';
import { database } from './database';
import type { Database } from './database/connection';
import { faultOf } from './database/faults';
import { AlreadyKept } from './jobs/once';
import { log } from './log';
import { noteNoRoom } from './room';
import { Short } from './stock';

export const AWAY: App.Error = {
	message: 'The database is away.',
	advice: 'Nothing is lost: figures typed here wait in this browser. This page keeps trying.'
};
const FULL: App.Error = {
	message: 'There is no room left on the server’s disk.',
	advice: 'Nothing is lost: figures typed here wait in this browser until there is room again.'
};

/**
 * Asks the database something. What hinders it is told as what it is: away, no room,
 * something that no column takes, or that is there already.
 */
export async function ask<T>(question: (db: Database) => Promise<T>): Promise<T> {
	try {
		return await question(await database());
	} catch (failure) {
		if (failure instanceof AlreadyKept || failure instanceof Short) error(409, failure.message);
		const fault = faultOf(failure);
		if (fault === null) throw failure;
		const { message } = failure as Error;
		if (fault === 'away') {
			log.warn({ error: message }, 'database away');
			error(503, AWAY);
		}
		if (fault === 'full') {
			noteNoRoom();
			log.warn({ error: message }, 'no room');
			error(507, FULL);
		}
		log.info({ error: message, fault }, 'refused by the database');
		if (fault === 'taken') error(409, 'Something is there already under this name or id.');
		error(
			400,
			fault === 'unknown'
				? 'It names something that is not there.'
				: 'A figure or text that cannot be kept.'
		);
	}
}
