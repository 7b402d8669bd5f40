/** Codes that let people in, and what ends them. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Person } from '@zinc-ledger/core';
import { addPerson } from '../people';
import { testDatabase, type TestDatabase } from '../test-database';
import {
	changeSignIn,
	checkPassword,
	findInvitation,
	invite,
	join,
	listColleagues
} from './sign-ins';

let test: TestDatabase;
let owner: Person;
beforeAll(async () => {
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
