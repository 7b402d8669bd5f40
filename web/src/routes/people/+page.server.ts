import { fail } from '@sveltejs/kit';
import QRCode from 'qrcode';
import { message, type Message } from '@zinc-ledger/core';
import { tell } from '@zinc-ledger/words';
import { ROLES, type Role } from '$lib/access/roles';
import { shopAddress } from '$lib/server/access/network';
import { noteAct, refuseWithoutNetwork } from '$lib/server/access/sign-in';
import { changeSignIn, invite, listColleagues } from '$lib/server/access/sign-ins';
import { withDatabase } from '$lib/server/with-database';
import { fieldProblems, formTexts } from '$lib/server/http/body';
import { addPerson, Newcomer } from '$lib/server/people';

export const load = async () => {
	refuseWithoutNetwork();
	return { people: await withDatabase(listColleagues) };
};

const refused = (says: Message) => fail(400, { message: tell(says) });
const isRole = (text: string | undefined): text is Role => ROLES.some((role) => role === text);

/** The person that a form names. */
async function named(id: string | undefined) {
	return (await withDatabase(listColleagues)).find((one) => one.id === id);
}

export const actions = {
	add: async ({ request }) => {
		const form = await formTexts(request);
		const checked = Newcomer.safeParse(form);
		const { name = '', initials = '' } = form;
		const wrong = (status: number, problems: Record<string, string>) =>
			fail(status, { problems, name, initials });
		if (!checked.success) return wrong(400, fieldProblems(checked.error));
		const person = await withDatabase((db) =>
			addPerson(db, checked.data.name, checked.data.initials)
		);
		if (person) return { added: person.name };
		const says = message('operator.initials-in-use', { initials: checked.data.initials });
		return wrong(409, { initials: tell(says) });
	},
	/** Hands out a code, for a first sign-in or a new password. */
	invite: async (event) => {
		const { person: id, role } = await formTexts(event.request);
		const colleague = await named(id);
		if (!colleague || !isRole(role)) return refused(message('operator.pick'));
		const as = colleague.role && !colleague.ended ? colleague.role : role;
		const code = await withDatabase((db) => invite(db, colleague.id, as, event.locals.person));
		await noteAct(event, { what: 'code-made', about: { whom: colleague.id, role: as } });
		const link = `${shopAddress()}/join?code=${code}`;
		const picture = await QRCode.toString(link, { type: 'svg', margin: 0 });
		return { invited: { name: colleague.name, code, link, picture } };
	},
	role: async (event) => {
		const { person: id, role } = await formTexts(event.request);
		const colleague = await named(id);
		if (!colleague || !isRole(role)) return refused(message('operator.pick'));
		if (!(await withDatabase((db) => changeSignIn(db, colleague.id, { role }))))
			return refused(message('access.last-owner'));
		await noteAct(event, { what: 'role-changed', about: { whom: colleague.id, role } });
		return {};
	},
	end: async (event) => {
		const { person: id } = await formTexts(event.request);
		const colleague = await named(id);
		if (!colleague) return refused(message('operator.pick'));
		if (!(await withDatabase((db) => changeSignIn(db, colleague.id, { ended: true }))))
			return refused(message('access.last-owner'));
		await noteAct(event, { what: 'sign-in-ended', about: { whom: colleague.id } });
		return {};
	}
};
