import { fail, redirect, type RequestEvent } from '@sveltejs/kit';
import { message, type Message, type Person } from '@zinc-ledger/core';
import { tell } from '@zinc-ledger/words';
import { attempt } from '$lib/server/access/limits';
import { passwordProblem, pinProblem } from '$lib/server/access/passwords';
import { refuseWithoutNetwork, welcome } from '$lib/server/access/sign-in';
import { findInvitation, join, type Invitation, listColleagues } from '$lib/server/access/sign-ins';
import { withDatabase } from '$lib/server/with-database';
import { fieldProblems, formTexts } from '$lib/server/http/body';
import { addPerson, Newcomer } from '$lib/server/people';

/** In small letters, which is how it is kept. */
const USER_NAME = /^[\p{L}\p{N}][\p{L}\p{N}.-]{0,38}[\p{L}\p{N}]$/u;

export const load = async (event: RequestEvent) => {
	refuseWithoutNetwork();
	const code = event.url.searchParams.get('code');
	if (!code) return { code: '', invitation: null, unknown: null };
	const found = await invitationBy(event, code);
	if ('code' in found) return { code, invitation: null, unknown: tell(found) };
	const invitation = found;
	// The shop's first owner says who of those that are known that is.
	const people = invitation.person ? [] : await withDatabase(listColleagues);
	const known = people.map(({ id, name, initials }) => ({ id, name, initials }));
	return { code, invitation, unknown: null, known };
};

/** What a code is for; how often one is tried from an address is counted. */
async function invitationBy(event: RequestEvent, code: string): Promise<Invitation | Message> {
	const minutes = await attempt('code', event.getClientAddress());
	if (minutes !== null) return message('access.wait', { minutes });
	return (await withDatabase((db) => findInvitation(db, code))) ?? message('access.code-unknown');
}

export const actions = {
	default: async (event) => {
		refuseWithoutNetwork();
		const form = await formTexts(event.request);
		const { code = '', password = '', pin = '', person: id = '' } = form;
		const { name = '', initials = '' } = form;
		const userName = (form.userName ?? '').trim().toLowerCase();
		const refused = (problems: Record<string, string | undefined>, says?: Message) =>
			fail(400, {
				problems,
				message: says && tell(says),
				values: { userName, person: id, name, initials }
			});
		const found = await invitationBy(event, code);
		if ('code' in found) return refused({}, found);
		const problems = {
			...problemAt('userName', USER_NAME.test(userName) ? null : message('access.user-name')),
			...problemAt('password', passwordProblem(password, userName)),
			...problemAt('pin', pin === '' ? null : pinProblem(pin))
		};
		if (Object.keys(problems).length > 0) return refused(problems);
		const who = found.person ? { person: found.person } : await firstOwner(id, { name, initials });
		if ('problems' in who) return refused(who.problems);
		const { person } = who;
		const hindered = await withDatabase((db) =>
			join(db, { code, person, userName, password, pin })
		);
		if (hindered) return refused({}, hindered);
		await welcome(event, person, false, 'joined');
		redirect(303, '/');
	}
};

const problemAt = (field: string, says: Message | null) => (says ? { [field]: tell(says) } : {});

/** The person that the first owner is: one who worked here before, or somebody new. */
async function firstOwner(
	id: string,
	typed: { readonly name: string; readonly initials: string }
): Promise<{ readonly person: Person } | { readonly problems: Record<string, string> }> {
	const known = (await withDatabase(listColleagues)).find((one) => one.id === id);
	if (known) return { person: { id: known.id, name: known.name, initials: known.initials } };
	const checked = Newcomer.safeParse(typed);
	if (!checked.success) return { problems: fieldProblems(checked.error) };
	const { name, initials } = checked.data;
	const person = await withDatabase((db) => addPerson(db, name, initials));
	if (person) return { person };
	return { problems: { initials: tell(message('operator.initials-in-use', { initials })) } };
}
