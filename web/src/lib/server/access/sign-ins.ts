/** Who may sign in and as what: made by a code that an owner hands out, ended by an owner. */
import { sql } from 'kysely';
import { message, type Message, type Person } from '@zinc-ledger/core';
import type { Role } from '$lib/access/roles';
import type { Database } from '../database/connection';
import { inTransaction } from '../database/transaction';
import { codeKey, newCode } from './tokens';
import { hashed, matches } from './passwords';
import { encrypt, decrypt } from './encrypted-text';
import { endAll } from './sessions';

/** Somebody of the shop, and how they may sign in. */
export interface Colleague extends Person {
	readonly role: Role | null;
	readonly userName: string | null;
	readonly hasPin: boolean;
	readonly ended: boolean;
}

export async function listColleagues(db: Database): Promise<Colleague[]> {
	const rows = await db
		.selectFrom('person')
		.leftJoin('sign_in', 'sign_in.person_id', 'person.id')
		.select(['id', 'name', 'initials', 'role', 'user_name as userName', 'ended'])
		.select(sql<boolean>`pin is not null`.as('hasPin'))
		.orderBy('initials')
		.execute();
	return rows.map((row) => ({ ...row, ended: row.ended === true }));
}

/** Those who may take a shared bench over by PIN. */
export const listWithPin = (db: Database): Promise<Person[]> =>
	db
		.selectFrom('person')
		.innerJoin('sign_in', 'sign_in.person_id', 'person.id')
		.select(['id', 'name', 'initials'])
		.where('ended', '=', false)
		.where('pin', 'is not', null)
		.orderBy('initials')
		.execute();

const HOURS = 72;

/**
 * A code that lets somebody choose a user name and a password, once, within three days.
 * An earlier one of theirs no longer does.
 *
 * @param personId null for the shop's first owner
 */
export async function invite(
	db: Database,
	personId: string | null,
	role: Role,
	by: Person | null
): Promise<string> {
	const code = newCode();
	// A sign-in that was ended opens again by this alone, and with nothing that was known before.
	const unknown = await hashed(newCode());
	await inTransaction(db, async (trx) => {
		await revokeCodes(trx, personId);
		if (personId)
			await trx
				.updateTable('sign_in')
				.set({ ended: false, role, password: unknown, pin: null, second_factor: null })
				.where('person_id', '=', personId)
				.where('ended', '=', true)
				.execute();
		await trx
			.insertInto('invitation')
			.values({
				key: codeKey(code),
				person_id: personId,
				role,
				made_by: by?.id ?? null,
				until: sql<Date>`now() + make_interval(hours => ${HOURS})`
			})
			.execute();
	});
	return code;
}

/** Takes back codes of somebody, or of the shop's first owner, that nobody used yet. */
async function revokeCodes(db: Database, personId: string | null): Promise<void> {
	const unused = db.deleteFrom('invitation').where('used_at', 'is', null);
	await (
		personId ? unused.where('person_id', '=', personId) : unused.where('person_id', 'is', null)
	).execute();
}

export interface Invitation {
	readonly person: Person | null;
	readonly userName: string | null;
	readonly role: Role;
}

/** What a code is for; null where it is none, or no longer. */
export async function findInvitation(db: Database, code: string): Promise<Invitation | null> {
	const row = await db
		.selectFrom('invitation')
		.leftJoin('person', 'person.id', 'invitation.person_id')
		.leftJoin('sign_in', 'sign_in.person_id', 'invitation.person_id')
		.select(['invitation.role', 'person.id', 'name', 'initials', 'user_name'])
		.where('key', '=', codeKey(code))
		.where('used_at', 'is', null)
		.where('until', '>', sql<Date>`now()`)
		.executeTakeFirst();
	if (!row) return null;
	const { id, name, initials, role, user_name: userName } = row;
	return { person: id ? { id, name: name!, initials: initials! } : null, userName, role };
}

export interface Joining {
	readonly code: string;
	readonly person: Person;
	readonly userName: string;
	readonly password: string;
	readonly pin: string;
}

/** Makes the sign-in that a code is for, or gives it a new password; what hinders it. */
export async function join(db: Database, joining: Joining): Promise<Message | null> {
	const { code, person, userName } = joining;
	const password = await hashed(joining.password);
	const pin = joining.pin === '' ? null : encrypt(await hashed(joining.pin));
	return inTransaction(db, async (trx) => {
		const used = await trx
			.updateTable('invitation')
			.set({ used_at: new Date() })
			.where('key', '=', codeKey(code))
			.where('used_at', 'is', null)
			.where('until', '>', sql<Date>`now()`)
			.where((is) => is.or([is('person_id', 'is', null), is('person_id', '=', person.id)]))
			.returning(['role', 'person_id'])
			.executeTakeFirst();
		if (!used) throw new Hindered(message('access.code-unknown'));
		const taken = await trx
			.selectFrom('sign_in')
			.select('person_id')
			.where('user_name', '=', userName)
			.where('person_id', '<>', person.id)
			.executeTakeFirst();
		if (taken) throw new Hindered(message('access.user-name-taken'));
		const before = await trx
			.selectFrom('sign_in')
			.select(['role', 'ended'])
			.where('person_id', '=', person.id)
			.forUpdate()
			.executeTakeFirst();
		// What an owner decided since the code was made stands. The machine's own code, which
		// names nobody, makes an owner.
		const isOwn = before !== undefined && used.person_id !== null;
		if (isOwn && before.ended) throw new Hindered(message('access.code-unknown'));
		const role = isOwn ? before.role : used.role;
		// A phone that was lost is not asked for again.
		const second = { second_factor: null, second_factor_used: 0 };
		const set = { user_name: userName, role, password, ended: false, ...second };
		await trx
			.insertInto('sign_in')
			.values({ person_id: person.id, ...set, pin })
			.onConflict((is) => is.column('person_id').doUpdateSet({ ...set, ...(pin && { pin }) }))
			.execute();
		await endAll(trx, person.id);
		return null;
	}).catch((failure: unknown) => {
		if (failure instanceof Hindered) return failure.says;
		throw failure;
	});
}

class Hindered extends Error {
	constructor(readonly says: Message) {
		super(says.code);
	}
}

export interface Checked {
	/** Who has the user name and the password; null where nobody has. */
	readonly person: Person | null;
	/** Whose user name it is, right or wrong. */
	readonly whom: string | undefined;
	/** Whether a code is to be asked for as well. */
	readonly hasSecond: boolean;
}

/** Whether a password is that of a user name. */
export async function checkPassword(
	db: Database,
	userName: string,
	password: string
): Promise<Checked> {
	const row = await db
		.selectFrom('sign_in')
		.innerJoin('person', 'person.id', 'sign_in.person_id')
		.select(['id', 'name', 'initials', 'password', 'second_factor'])
		.where('user_name', '=', userName.trim().toLowerCase())
		.where('ended', '=', false)
		.executeTakeFirst();
	const isRight = await matches(row?.password ?? null, password);
	if (!row) return { person: null, whom: undefined, hasSecond: false };
	const { id, name, initials, second_factor: second } = row;
	return { person: isRight ? { id, name, initials } : null, whom: id, hasSecond: second !== null };
}

/** Whether a PIN is this person's. */
export async function checkPin(db: Database, personId: string, pin: string): Promise<boolean> {
	const row = await db
		.selectFrom('sign_in')
		.select('pin')
		.where('person_id', '=', personId)
		.where('ended', '=', false)
		.executeTakeFirst();
	const kept = row?.pin ?? null;
	return matches(kept && decrypt(kept), pin);
}

/** Changes the secret of somebody who has a sign-in. */
export async function setSecret(
	db: Database,
	personId: string,
	which: 'password' | 'pin',
	secret: string
): Promise<void> {
	await db
		.updateTable('sign_in')
		.set({ [which]: which === 'pin' ? encrypt(await hashed(secret)) : await hashed(secret) })
		.where('person_id', '=', personId)
		.execute();
}

export const userNameOf = async (db: Database, personId: string): Promise<string> =>
	(
		await db
			.selectFrom('sign_in')
			.select('user_name')
			.where('person_id', '=', personId)
			.executeTakeFirst()
	)?.user_name ?? '';

/**
 * Changes what somebody may do, or ends their sign-in; false where the shop would be
 * left without an owner.
 */
export async function changeSignIn(
	db: Database,
	personId: string,
	change: { readonly role: Role } | { readonly ended: true }
): Promise<boolean> {
	return inTransaction(db, async (trx) => {
		const owners = await trx
			.selectFrom('sign_in')
			.select('person_id')
			.where('role', '=', 'owner')
			.where('ended', '=', false)
			.orderBy('person_id')
			.forUpdate()
			.execute();
		const isLast = owners.length === 1 && owners[0]!.person_id === personId;
		if (isLast && !('role' in change && change.role === 'owner')) return false;
		await trx.updateTable('sign_in').set(change).where('person_id', '=', personId).execute();
		await revokeCodes(trx, personId);
		if ('ended' in change) await endAll(trx, personId);
		return true;
	});
}

/** Whether anybody can look after the shop's people. */
export const hasOwner = async (db: Database): Promise<boolean> =>
	(await db
		.selectFrom('sign_in')
		.select('person_id')
		.where('role', '=', 'owner')
		.where('ended', '=', false)
		.executeTakeFirst()) !== undefined;
