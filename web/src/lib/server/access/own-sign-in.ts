/** What people change of their own sign-in; each change takes the present password. */
import type { RequestEvent } from '@sveltejs/kit';
import { message, type Message } from '@zinc-ledger/core';
import { withDatabase } from '../with-database';
import { attempt, forgive } from './limits';
import { passwordProblem, pinProblem } from './passwords';
import { isSecret, setSecondFactor, stepOf, useCode } from './second-factor';
import { endAll } from './sessions';
import { noteAct } from './sign-in';
import { checkPassword, setSecret, userNameOf } from './sign-ins';

/** What hinders a change, at the field that it is about. */
export type Problems = Readonly<Partial<Record<'present' | 'secret' | 'code', Message>>>;

/** Whoever changes a secret of theirs knows the present password; what hinders it. */
async function proven({ locals: { person } }: RequestEvent, password: string) {
	if (!person) return message('server.operator-required');
	const name = await withDatabase((db) => userNameOf(db, person.id));
	// Apart from sign-ins: whoever guesses there takes nothing from who is here.
	const minutes = await attempt('own', person.id);
	if (minutes !== null) return message('access.wait', { minutes });
	if (!(await withDatabase((db) => checkPassword(db, name, password))).person)
		return message('access.password-wrong');
	await forgive('own', person.id);
	return { person, name };
}

/** Changes a secret, and ends every other browser that the old one opened; what hinders it. */
export async function changeSecret(
	event: RequestEvent,
	which: 'password' | 'pin',
	{ present, secret }: { readonly present: string; readonly secret: string }
): Promise<Problems | null> {
	const known = await proven(event, present);
	if ('code' in known) return { present: known };
	const { person, name } = known;
	const problem = which === 'pin' ? pinProblem(secret) : passwordProblem(secret, name);
	if (problem) return { secret: problem };
	await withDatabase(async (db) => {
		await setSecret(db, person.id, which, secret);
		await endAll(db, person.id, event.locals.session!);
	});
	await noteAct(event, { what: which === 'pin' ? 'pin-changed' : 'password-changed' });
	return null;
}

/** Asks for a code at sign-in from now on, once one shows that the phone has the secret; what hinders it. */
export async function turnSecondOn(
	event: RequestEvent,
	{ present, secret, code }: Readonly<Record<'present' | 'secret' | 'code', string>>
): Promise<Problems | null> {
	const known = await proven(event, present);
	if ('code' in known) return { present: known };
	const step = isSecret(secret) ? stepOf(secret, code, 0) : null;
	if (step === null) return { code: message('access.code-refused') };
	await withDatabase(async (db) => {
		await setSecondFactor(db, known.person.id, secret, step);
		await endAll(db, known.person.id, event.locals.session!);
	});
	await noteAct(event, { what: 'second-factor-on' });
	return null;
}

/** Asks for no code any more, once the phone has shown one: a password that was seen is not enough; what hinders it. */
export async function turnSecondOff(
	event: RequestEvent,
	{ present, code }: Readonly<Record<'present' | 'code', string>>
): Promise<Problems | null> {
	const known = await proven(event, present);
	if ('code' in known) return { present: known };
	if (!(await withDatabase((db) => useCode(db, known.person.id, code))))
		return { code: message('access.code-refused') };
	await withDatabase((db) => setSecondFactor(db, known.person.id, null));
	await noteAct(event, { what: 'second-factor-off' });
	return null;
}
