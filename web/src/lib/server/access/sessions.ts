/** Browsers that are signed in. A cookie holds a random token; the database knows its SHA-256. */
import { sql } from 'kysely';
import type { Person } from '@zinc-ledger/core';
import { lesser, type Role } from '$lib/access/roles';
import type { Session } from '$lib/access/session';
import type { Database } from '../database/connection';
import { unitsOf, type Known } from '../people';
import { keyOf, newToken } from './tokens';

/** Without use for so long, it ends: a working day at a bench that several share, thirty days elsewhere. */
const BENCH_HOURS = 12;
const OWN_DAYS = 30;
/** A person at a shared bench who does nothing for so long is asked for the PIN. */
const PERSON_HOURS = 2;
/** What a PIN lets somebody do, whoever they are: people and policies take the password. */
const MAX_BY_PIN: Role = 'machinist';

/** A browser that is signed in, and who is at it: nobody where a bench waits for a PIN. */
export interface SignedIn {
	readonly session: Session;
	readonly known: Known | null;
	readonly role: Role | null;
}

const alive = sql<boolean>`session.used_at > now() - case when session.at_bench
	then make_interval(hours => ${BENCH_HOURS}) else make_interval(days => ${OWN_DAYS}) end`;
const soon = () => sql<Date>`now() + make_interval(hours => ${PERSON_HOURS})`;

/** Signs a browser in, and gives what its cookie holds. */
export async function openSession(db: Database, person: Person, atBench: boolean): Promise<string> {
	const token = newToken();
	await forgetEnded(db);
	await db
		.insertInto('session')
		.values({
			key: keyOf(token),
			opened_by: person.id,
			at_bench: atBench,
			person_id: person.id,
			person_until: soon()
		})
		.execute();
	return token;
}

/** Who a cookie signs in; null where it is nobody's, or no longer. What is used goes on. */
export async function findSession(db: Database, token: string): Promise<SignedIn | null> {
	const key = keyOf(token);
	const row = await db
		.selectFrom('session')
		.innerJoin('sign_in as opener', 'opener.person_id', 'session.opened_by')
		.leftJoin('sign_in', (join) =>
			join.onRef('sign_in.person_id', '=', 'session.person_id').on('sign_in.ended', '=', false)
		)
		.leftJoin('person', 'person.id', 'sign_in.person_id')
		.select(['session.key', 'at_bench', 'by_pin', 'sign_in.role', 'person.id', 'name', 'initials'])
		.select(['length_unit', 'load_unit'])
		.select(sql<boolean>`person_until > now() or not at_bench`.as('is_here'))
		.select(sql<boolean>`session.used_at < now() - interval '1 minute'`.as('is_old'))
		.where('session.key', '=', key)
		.where('opener.ended', '=', false)
		.where(alive)
		.executeTakeFirst();
	if (!row) return null;
	if (row.is_old) await touch(db, key);
	const { id, name, initials, role } = row;
	const session = { key, atBench: row.at_bench, byPin: row.by_pin };
	if (!row.is_here || !id || !role) return { session, known: null, role: null };
	return {
		session,
		known: { person: { id, name: name!, initials: initials! }, units: unitsOf(row) },
		role: row.by_pin ? lesser(role, MAX_BY_PIN) : role
	};
}

/** Whether a browser is still signed in; to ask is not to use it. */
export const isSignedIn = async (db: Database, { key }: Session): Promise<boolean> =>
	(await db
		.selectFrom('session')
		.innerJoin('sign_in as opener', 'opener.person_id', 'session.opened_by')
		.select('key')
		.where('key', '=', key)
		.where('opener.ended', '=', false)
		.where(alive)
		.executeTakeFirst()) !== undefined;

const touch = (db: Database, key: string) =>
	db
		.updateTable('session')
		.set({
			used_at: sql`now()`,
			person_until: sql`case when person_until > now() then ${soon()} else person_until end`
		})
		.where('key', '=', key)
		.execute();

/**
 * Puts somebody at a shared bench, by PIN, under a new token; nobody where there is none.
 *
 * @returns the token; null where the session has another by now, since the same was asked twice
 * at once: the bench keeps the one that it was given first
 */
export async function changePerson(
	db: Database,
	{ key }: Session,
	person: Person | null
): Promise<string | null> {
	const token = newToken();
	const changed = await db
		.updateTable('session')
		.set({
			key: keyOf(token),
			person_id: person?.id ?? null,
			by_pin: person !== null,
			person_until: person && soon()
		})
		.where('key', '=', key)
		.executeTakeFirst();
	return changed.numUpdatedRows > 0n ? token : null;
}

export const endSession = (db: Database, { key }: Session) =>
	db.deleteFrom('session').where('key', '=', key).execute();

/** Ends every browser that somebody signed in, and takes them off each bench where they are. */
export async function endAll(db: Database, personId: string, but?: Session): Promise<void> {
	let all = db.deleteFrom('session').where('opened_by', '=', personId);
	if (but) all = all.where('key', '<>', but.key);
	await all.execute();
	let elsewhere = db
		.updateTable('session')
		.set({ person_id: null, by_pin: false, person_until: null })
		.where('person_id', '=', personId);
	if (but) elsewhere = elsewhere.where('key', '<>', but.key);
	await elsewhere.execute();
}

/** Drops what ended long since. */
const forgetEnded = (db: Database) =>
	db
		.deleteFrom('session')
		.where('used_at', '<', sql<Date>`now() - interval '31 days'`)
		.execute();
