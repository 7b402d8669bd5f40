import { fail, redirect, type RequestEvent } from '@sveltejs/kit';
import { message, type Message } from '@zinc-ledger/core';
import { tell } from '@zinc-ledger/words';
import { onNetwork } from '$lib/server/access/network';
import { leaveBench, takeOver } from '$lib/server/access/sign-in';
import { listWithPin } from '$lib/server/access/sign-ins';
import { withDatabase } from '$lib/server/with-database';
import { back } from '$lib/server/http/back';
import { fieldProblems, formTexts, isId } from '$lib/server/http/body';
import { addPerson, findPerson, listPeople, Newcomer } from '$lib/server/people';

const YEAR = 365 * 24 * 3600;

/** On the network people change at a bench by PIN; on one machine alone, by name. */
export const load = async ({ locals: { session }, url }) => {
	if (onNetwork() && !session?.atBench)
		redirect(303, url.searchParams.has('back') ? back(url) : '/account');
	return { byPin: onNetwork(), people: await withDatabase(onNetwork() ? listWithPin : listPeople) };
};

const pickedBy = ({ cookies }: RequestEvent, id: string) =>
	cookies.set('zinc-person', id, { path: '/', maxAge: YEAR, secure: false });

export const actions = {
	pick: async (event) => {
		const { person: id, pin = '' } = await formTexts(event.request);
		const refused = (says: Message) => fail(400, { pick: tell(says), person: id });
		if (!id || !isId(id)) return refused(message('operator.pick'));
		if (onNetwork()) {
			const hindered = await takeOver(event, id, pin);
			if (hindered) return refused(hindered);
		} else {
			if (!(await withDatabase((db) => findPerson(db, id))))
				return refused(message('operator.pick'));
			pickedBy(event, id);
		}
		redirect(303, back(event.url));
	},
	leave: async (event) => {
		await leaveBench(event);
		redirect(303, '/bench');
	},
	add: async (event) => {
		const form = await formTexts(event.request);
		const checked = Newcomer.safeParse(form);
		if (!checked.success) {
			const { name, initials } = fieldProblems(checked.error);
			return fail(400, {
				problems: { name, initials },
				name: String(form.name),
				initials: String(form.initials)
			});
		}
		const { name, initials } = checked.data;
		const person = await withDatabase((db) => addPerson(db, name, initials));
		if (!person) {
			const says = tell(message('operator.initials-in-use', { initials }));
			const problems = { name: undefined, initials: says };
			return fail(409, { problems, name, initials });
		}
		if (!onNetwork()) pickedBy(event, person.id);
		redirect(303, back(event.url));
	}
};
