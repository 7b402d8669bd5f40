/** The shop's trail: who signed in, changed a role, took something out, shared or restored. */
import type { AuditedAct } from '@zinc-ledger/words';
import { sql } from 'kysely';
import { v7 as uuid } from 'uuid';
import type { AuditAbout, Noted } from '$lib/access/audited';
import type { Database } from '../database/connection';

export interface Act {
	readonly what: AuditedAct;
	readonly person?: string | undefined;
	readonly about?: AuditAbout;
	readonly address?: string | undefined;
}

/** Notes an act; nothing notes it differently afterwards. */
export async function note(db: Database, act: Act): Promise<void> {
	const { what, person = null, about = {}, address = null } = act;
	await db
		.insertInto('audit')
		.values({ id: uuid(), what, person_id: person, about: JSON.stringify(about), address })
		.execute();
}

/** What befell a sign-in, told to whoever it is of. */
const OF_SIGN_INS: readonly AuditedAct[] = [
	'signed-in',
	'sign-in-refused',
	'signed-out-everywhere',
	'person-changed',
	'pin-refused',
	'code-made',
	'joined',
	'role-changed',
	'sign-in-ended',
	'password-changed',
	'pin-changed',
	'second-factor-on',
	'second-factor-off'
];

/** Acts, newest first, a page at a time. @param before position of the last one seen */
export async function listNoted(
	db: Database,
	before: string | null,
	max: number
): Promise<Noted[]> {
	let acts = noted(db).limit(max);
	if (before) acts = acts.where('position', '<', before);
	return (await acts.execute()).map(asTold);
}

/** What befell somebody's own sign-in lately, newest first. */
export const listOfSignIn = async (db: Database, person: string, max: number): Promise<Noted[]> =>
	(
		await noted(db)
			.where('what', 'in', OF_SIGN_INS)
			.where(({ eb, or }) =>
				or([eb('person_id', '=', person), eb(sql`about->>'whom'`, '=', person)])
			)
			.limit(max)
			.execute()
	).map(asTold);

function noted(db: Database) {
	const whom = sql<string | null>`(select name from person where id::text = about->>'whom')`;
	return db
		.selectFrom('audit')
		.leftJoin('person', 'person.id', 'audit.person_id')
		.select(['what', 'person.name as who', 'about', 'address', 'at', 'position'])
		.select(whom.as('whom'))
		.orderBy('position', 'desc');
}

const asTold = (row: Omit<Noted, 'at'> & { at: Date }): Noted => ({
	...row,
	at: row.at.toISOString()
});
