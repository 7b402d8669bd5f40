import { fail, redirect, type RequestEvent } from '@sveltejs/kit';
import { message } from '@zinc-ledger/core';
import { tell } from '@zinc-ledger/words';
import { listOfSignIn } from '$lib/server/access/audit';
import { changeSecret, turnSecondOff, turnSecondOn } from '$lib/server/access/own-sign-in';
import { hasSecondFactor, isSecret, offer } from '$lib/server/access/second-factor';
import { endAll, endSession } from '$lib/server/access/sessions';
import { noteAct, refuseWithoutNetwork } from '$lib/server/access/sign-in';
import { userNameOf } from '$lib/server/access/sign-ins';
import { dropToken } from '$lib/server/access/who-asks';
import { withDatabase } from '$lib/server/with-database';
import { formTexts } from '$lib/server/http/body';

/** Of what befell one's sign-in, the last. */
const LATEST = 12;

export const load = async ({ locals: { person, session } }) => {
	refuseWithoutNetwork();
	const { atBench } = session!;
	if (!person) return { atBench, userName: null, hasSecond: false, acts: [] };
	return {
		atBench,
		userName: await withDatabase((db) => userNameOf(db, person.id)),
		hasSecond: await withDatabase((db) => hasSecondFactor(db, person.id)),
		acts: await withDatabase((db) => listOfSignIn(db, person.id, LATEST))
	};
};

async function change(event: RequestEvent, which: 'password' | 'pin') {
	const { present = '', secret = '' } = await formTexts(event.request);
	const problems = await changeSecret(event, which, { present, secret });
	return problems ? fail(400, { which, problems }) : { changed: which };
}

/** A secret for the phone of whoever is here: a new one, or that which was offered before. */
const offerTo = async ({ person }: App.Locals, secret?: string) =>
	offer(person ? await withDatabase((db) => userNameOf(db, person.id)) : '', secret);

const SECOND = 'second';

export const actions = {
	password: (event) => change(event, 'password'),
	pin: (event) => change(event, 'pin'),
	offer: async ({ locals }) => {
		if (!locals.person) return fail(401, { message: tell(message('server.operator-required')) });
		return { offered: await offerTo(locals) };
	},
	secondOn: async (event) => {
		const { present = '', secret = '', code = '' } = await formTexts(event.request);
		const problems = await turnSecondOn(event, { present, secret, code });
		if (!problems) return { changed: SECOND };
		const offered = isSecret(secret) ? await offerTo(event.locals, secret) : undefined;
		return fail(400, { which: SECOND, problems, offered });
	},
	secondOff: async (event) => {
		const { present = '', code = '' } = await formTexts(event.request);
		const problems = await turnSecondOff(event, { present, code });
		return problems ? fail(400, { which: SECOND, problems }) : { changed: SECOND };
	},
	out: async (event) => {
		const { session } = event.locals;
		if (session) await withDatabase((db) => endSession(db, session));
		await noteAct(event, { what: 'signed-out' });
		dropToken(event.cookies);
		redirect(303, '/sign-in');
	},
	everywhere: async (event) => {
		const { person, session } = event.locals;
		if (!person) return fail(401, { message: tell(message('server.operator-required')) });
		await withDatabase((db) => endAll(db, person.id));
		await noteAct(event, { what: 'signed-out-everywhere' });
		if (session?.byPin) redirect(303, '/bench');
		dropToken(event.cookies);
		redirect(303, '/sign-in');
	}
};
