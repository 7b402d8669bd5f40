import { fail, redirect, type RequestEvent } from '@sveltejs/kit';
import { message } from '@zinc-ledger/core';
import { tell } from '@zinc-ledger/words';
import { listOfSignIn } from '$lib/server/access/audit';
import { attempt, forgive } from '$lib/server/access/limits';
import {
	hasSecondFactor,
	isSecret,
	offer,
	setSecondFactor,
	stepOf
} from '$lib/server/access/second-factor';
import { passwordProblem, pinProblem } from '$lib/server/access/passwords';
import { endAll, endSession } from '$lib/server/access/sessions';
import { noteAct, refuseWithoutNetwork } from '$lib/server/access/sign-in';
import { checkPassword, setSecret, userNameOf } from '$lib/server/access/sign-ins';
import { dropToken } from '$lib/server/access/who-asks';
import { ask } from '$lib/server/ask';
import { formTexts } from '$lib/server/body';

/** Of what befell one's sign-in, the last. */
const LATEST = 12;

export const load = async ({ locals: { person, session } }) => {
	refuseWithoutNetwork();
	const { atBench } = session!;
	if (!person) return { atBench, userName: null, hasSecond: false, acts: [] };
	return {
		atBench,
		userName: await ask((db) => userNameOf(db, person.id)),
		hasSecond: await ask((db) => hasSecondFactor(db, person.id)),
		acts: await ask((db) => listOfSignIn(db, person.id, LATEST))
	};
};

/** Whoever changes a secret of theirs knows the present password; what hinders it. */
async function proven({ locals: { person } }: RequestEvent, password: string) {
	if (!person) return message('server.operator-required');
	const name = await ask((db) => userNameOf(db, person.id));
	const minutes = await attempt('name', name);
	if (minutes !== null) return message('access.wait', { minutes });
	if (!(await ask((db) => checkPassword(db, name, password))).person)
		return message('access.password-wrong');
	await forgive('name', name);
	return { person, name };
}

/** Changes a secret, and ends every other browser that the old one opened. */
async function change(event: RequestEvent, which: 'password' | 'pin') {
	const { present = '', secret = '' } = await formTexts(event.request);
	const refused = (problems: { present?: string; secret?: string }) =>
		fail(400, { which, problems });
	const known = await proven(event, present);
	if ('code' in known) return refused({ present: tell(known) });
	const { person, name } = known;
	const problem = which === 'pin' ? pinProblem(secret) : passwordProblem(secret, name);
	if (problem) return refused({ secret: tell(problem) });
	await ask(async (db) => {
		await setSecret(db, person.id, which, secret);
		await endAll(db, person.id, event.locals.session!);
	});
	await noteAct(event, { what: which === 'pin' ? 'pin-changed' : 'password-changed' });
	return { changed: which };
}

/** Asks for a code at sign-in from now on, once one shows that the phone has the secret. */
async function turnOn(event: RequestEvent) {
	const { present = '', secret = '', code = '' } = await formTexts(event.request);
	const refused = async (problems: { present?: string; code?: string }) => {
		const offered = isSecret(secret) ? await offerTo(event.locals, secret) : undefined;
		return fail(400, { which: 'second' as const, problems, offered });
	};
	const known = await proven(event, present);
	if ('code' in known) return refused({ present: tell(known) });
	const step = isSecret(secret) ? stepOf(secret, code, 0) : null;
	if (step === null) return refused({ code: tell(message('access.code-refused')) });
	const { person } = known;
	await ask(async (db) => {
		await setSecondFactor(db, person.id, secret, step);
		await endAll(db, person.id, event.locals.session!);
	});
	await noteAct(event, { what: 'second-factor-on' });
	return { changed: 'second' as const };
}

/** A secret for the phone of whoever is here: a new one, or that which was offered before. */
const offerTo = async ({ person }: App.Locals, secret?: string) =>
	offer(person ? await ask((db) => userNameOf(db, person.id)) : '', secret);

async function turnOff(event: RequestEvent) {
	const { present = '' } = await formTexts(event.request);
	const known = await proven(event, present);
	if ('code' in known)
		return fail(400, { which: 'second' as const, problems: { present: tell(known) } });
	await ask((db) => setSecondFactor(db, known.person.id, null));
	await noteAct(event, { what: 'second-factor-off' });
	return { changed: 'second' as const };
}

export const actions = {
	password: (event) => change(event, 'password'),
	pin: (event) => change(event, 'pin'),
	offer: async ({ locals }) => {
		if (!locals.person) return fail(401, { message: tell(message('server.operator-required')) });
		return { offered: await offerTo(locals) };
	},
	secondOn: (event) => turnOn(event),
	secondOff: (event) => turnOff(event),
	out: async (event) => {
		const { session } = event.locals;
		if (session) await ask((db) => endSession(db, session));
		await noteAct(event, { what: 'signed-out' });
		dropToken(event.cookies);
		redirect(303, '/sign-in');
	},
	everywhere: async (event) => {
		const { person, session } = event.locals;
		if (!person) return fail(401, { message: tell(message('server.operator-required')) });
		await ask((db) => endAll(db, person.id));
		await noteAct(event, { what: 'signed-out-everywhere' });
		if (session?.byPin) redirect(303, '/bench');
		dropToken(event.cookies);
		redirect(303, '/sign-in');
	}
};
