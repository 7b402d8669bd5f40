/** Codes that let people in, and what ends them. */
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import type { Person } from '@zinc-ledger/core';
import { addPerson } from '../people';
import { encryptAll, encryptClear } from './encrypted-columns';
import { decrypt } from './encrypted-text';
import { hasSecondFactor, setSecondFactor, useCode } from './second-factor';
import { changePerson, findSession, openSession } from './sessions';
import { testDatabase, type TestDatabase } from '../test-database';
import {
	changeSignIn,
	checkPin,
	checkPassword,
	findInvitation,
	invite,
	join,
	listColleagues,
	setSecret
} from './sign-ins';

const KEY = Buffer.alloc(32, 'k').toString('base64url');
let test: TestDatabase;
let owner: Person;
beforeAll(async () => {
	vi.stubEnv('ZINC_KEY', KEY);
	test = await testDatabase('sign_ins');
	owner = (await addPerson(test.db, 'Runa Tarn', 'RT'))!;
	await joined(owner, await invite(test.db, null, 'owner', null));
});
afterAll(() => test.drop());

const joined = (person: Person, code: string, password = 'a long way to school') =>
	join(test.db, {
		code,
		person,
		userName: person.initials.toLowerCase(),
		password,
		pin: ''
	});
const standing = async ({ id }: Person) =>
	(await listColleagues(test.db)).find((one) => one.id === id)!;
let count = 0;
/** Somebody who has joined as a machinist. */
async function machinist(): Promise<Person> {
	const person = (await addPerson(test.db, `Person ${++count}`, `P${count}`))!;
	expect(await joined(person, await invite(test.db, person.id, 'machinist', owner))).toBeNull();
	return person;
}

describe('a code', () => {
	it('that was handed out before somebody was ended does not bring them back', async () => {
		const person = await machinist();
		const code = await invite(test.db, person.id, 'machinist', owner);
		await changeSignIn(test.db, person.id, { ended: true });
		expect(await findInvitation(test.db, code)).toBeNull();
		expect((await joined(person, code))?.code).toBe('access.code-unknown');
		expect((await standing(person)).ended).toBe(true);
	});
	it('that was handed out before a role was lowered does not raise it again', async () => {
		const person = await machinist();
		const code = await invite(test.db, person.id, 'machinist', owner);
		await changeSignIn(test.db, person.id, { role: 'reader' });
		expect((await joined(person, code))?.code).toBe('access.code-unknown');
		// Nor does one whose role is another than the person has by now.
		const later = await invite(test.db, person.id, 'owner', owner);
		expect(await joined(person, later)).toBeNull();
		expect((await standing(person)).role).toBe('reader');
	});
	it('made by an owner opens an ended sign-in again, with nothing that was known before', async () => {
		const person = await machinist();
		await changeSignIn(test.db, person.id, { ended: true });
		const code = await invite(test.db, person.id, 'helper', owner);
		const name = person.initials.toLowerCase();
		expect((await checkPassword(test.db, name, 'a long way to school')).person).toBeNull();
		expect(await joined(person, code, 'another way to school')).toBeNull();
		expect((await checkPassword(test.db, name, 'another way to school')).person?.id).toBe(
			person.id
		);
		expect(await standing(person)).toMatchObject({ role: 'helper', ended: false });
	});
});

describe('what a thief of the database would use', () => {
	const kept = () =>
		test.db
			.selectFrom('sign_in')
			.select(['pin', 'second_factor'])
			.where('person_id', '=', owner.id)
			.executeTakeFirstOrThrow();
	const SECRET = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567';

	it('is under a key that lies elsewhere: PIN and second factor', async () => {
		await setSecret(test.db, owner.id, 'pin', '7391');
		await setSecondFactor(test.db, owner.id, SECRET);
		const { pin, second_factor: second } = await kept();
		expect([pin, second].every((one) => one!.startsWith('encrypted:'))).toBe(true);
		expect(decrypt(pin!)).toMatch(/^\$argon2id\$/);
		expect(decrypt(second!)).toBe(SECRET);
		expect(await checkPin(test.db, owner.id, '7391')).toBe(true);
		expect(await checkPin(test.db, owner.id, '7392')).toBe(false);
	});
	it('is sealed at the next start where an earlier release kept it in clear', async () => {
		const clear = decrypt((await kept()).pin!)!;
		await test.db.updateTable('sign_in').set({ pin: clear, second_factor: SECRET }).execute();
		await encryptClear(test.db);
		expect(decrypt((await kept()).second_factor!)).toBe(SECRET);
		expect((await kept()).pin).not.toBe(clear);
		expect(await checkPin(test.db, owner.id, '7391')).toBe(true);
	});
	it('goes under a new key with all others, also where that was cut off half-way', async () => {
		const next = Buffer.alloc(32, 'n').toString('base64url');
		await encryptAll(test.db, [KEY], next);
		expect(await encryptAll(test.db, [KEY], next)).toEqual({ pin: 0, second_factor: 0 });
		expect(decrypt((await kept()).second_factor!, next)).toBe(SECRET);
		// A machine without the key lets nobody in by it, and does not take it for none.
		expect(await checkPin(test.db, owner.id, '7391')).toBe(false);
		expect(await hasSecondFactor(test.db, owner.id)).toBe(true);
		expect(await useCode(test.db, owner.id, '000000')).toBe(false);
	});
});

describe('a bench that is taken over twice at once', () => {
	it('keeps the token that it was given first', async () => {
		const token = await openSession(test.db, owner, true);
		const { session } = (await findSession(test.db, token))!;
		const [first, second] = await Promise.all([
			changePerson(test.db, session, owner),
			changePerson(test.db, session, owner)
		]);
		const given = [first, second].filter((one) => one !== null);
		expect(given).toHaveLength(1);
		expect(await findSession(test.db, given[0]!)).not.toBeNull();
	});
});
