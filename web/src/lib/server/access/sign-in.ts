/** Signing in, taking a bench over, and what both count, note and refuse. */
import type { RequestEvent } from '@sveltejs/kit';
import { message, type Message, type Person } from '@zinc-ledger/core';
import { withDatabase } from '../with-database';
import { refuse } from '../http/refuse';
import { note, type Act } from './audit';
import { attempt, forgive } from './limits';
import { onNetwork } from './network';
import { useCode } from './second-factor';
import { changePerson, openSession } from './sessions';
import { checkPassword, checkPin, listWithPin } from './sign-ins';
import { keepToken } from './who-asks';

/** What is only there where people sign in. */
export function refuseWithoutNetwork(): void {
	if (!onNetwork()) refuse(404, message('server.unknown', { what: 'page' }));
}

/** Notes what somebody did, in the name of whoever is signed in unless another is given. */
export const noteAct = (event: RequestEvent, act: Act) =>
	withDatabase((db) =>
		note(db, { person: event.locals.person?.id, address: event.getClientAddress(), ...act })
	);

const tooMany = (minutes: number | null): Message | null =>
	minutes === null ? null : message('access.wait', { minutes });

export interface Credentials {
	readonly userName: string;
	readonly password: string;
	/** Of a second factor, where there is one. */
	readonly code: string;
	/** Whether several work at this browser. */
	readonly atBench: boolean;
}

/** How long an answer takes once a name was tried too often from anywhere, in ms. */
const SLOWLY = 2000;

/** Signs a browser in by name and password, and by a code where there is a second factor; what hinders it, in the same words whatever was wrong. */
export async function signIn(
	event: RequestEvent,
	{ userName, password, code, atBench }: Credentials
): Promise<Message | null> {
	const name = userName.trim().toLowerCase();
	const address = event.getClientAddress();
	const here = `${address} ${name}`;
	const wait = (await attempt('address', address)) ?? (await attempt('name', here));
	if (wait !== null) return tooMany(wait);
	if ((await attempt('slow', name)) !== null)
		await new Promise((answer) => setTimeout(answer, SLOWLY));
	const { person, whom, hasSecond } = await withDatabase((db) => checkPassword(db, name, password));
	if (!person) {
		await noteAct(event, { what: 'sign-in-refused', about: whom ? { whom } : {} });
		return message('access.refused');
	}
	if (hasSecond && code.trim() === '') return message('access.code-wanted');
	if (hasSecond && !(await withDatabase((db) => useCode(db, person.id, code)))) {
		await noteAct(event, { what: 'sign-in-refused', about: { whom: person.id } });
		return message('access.code-refused');
	}
	await forgive('name', here);
	await forgive('slow', name);
	await welcome(event, person, atBench, 'signed-in');
	return null;
}

/** Opens a session under a token that nobody knew before. */
export async function welcome(
	event: RequestEvent,
	person: Person,
	atBench: boolean,
	what: 'signed-in' | 'joined'
): Promise<void> {
	keepToken(event.cookies, await withDatabase((db) => openSession(db, person, atBench)));
	await noteAct(event, { what, person: person.id });
}

/** Puts somebody at a shared bench by their PIN; what hinders it. The bench goes on whatever happens. */
export async function takeOver(
	event: RequestEvent,
	personId: string,
	pin: string
): Promise<Message | null> {
	const { session } = event.locals;
	const person = (await withDatabase(listWithPin)).find(({ id }) => id === personId);
	if (!session?.atBench || !person) return message('operator.pick');
	const wait = await attempt('pin', person.id);
	if (wait !== null) return tooMany(wait);
	if (!(await withDatabase((db) => checkPin(db, person.id, pin)))) {
		await noteAct(event, { what: 'pin-refused', about: { whom: person.id } });
		return message('access.pin-refused');
	}
	await forgive('pin', person.id);
	const token = await withDatabase((db) => changePerson(db, session, person));
	if (token === null) return null;
	keepToken(event.cookies, token);
	await noteAct(event, { what: 'person-changed', person: person.id });
	return null;
}

/** Takes whoever is at a shared bench off it. */
export async function leaveBench(event: RequestEvent): Promise<void> {
	const { session } = event.locals;
	if (!session?.atBench) return;
	const token = await withDatabase((db) => changePerson(db, session, null));
	if (token !== null) keepToken(event.cookies, token);
}
