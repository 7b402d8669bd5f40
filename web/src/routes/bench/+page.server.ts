import { fail, redirect } from '@sveltejs/kit';
import { z } from 'zod';
import { ask } from '$lib/server/ask';
import { fieldProblems, formTexts, isId } from '$lib/server/body';
import { addPerson, findPerson, listPeople } from '$lib/server/people';
import { issue, message } from '@zinc-ledger/core';
import { tell } from '@zinc-ledger/words';

const YEAR = 365 * 24 * 3600;
const Newcomer = z.object({
	name: z
		.string()
		.trim()
		.min(1, issue('operator.name'))
		.max(80, issue('field.max', { max: 80, unit: 'characters' })),
	initials: z
		.string()
		.trim()
		.toUpperCase()
		.regex(/^\p{L}{1,4}$/u, issue('operator.initials'))
});

export const load = async () => ({ people: await ask(listPeople) });

/** Back to where the person came from; only ever within the application. */
function back(url: URL): string {
	const path = url.searchParams.get('back') ?? '/';
	return /^\/(?![/\\])/.test(path) ? path : '/';
}

export const actions = {
	pick: async ({ request, cookies, url }) => {
		const { person: id } = await formTexts(request);
		const known = isId(id) ? await ask((db) => findPerson(db, id)) : null;
		if (!known || !id) return fail(400, { pick: tell(message('operator.pick')) });
		cookies.set('zinc-person', id, { path: '/', maxAge: YEAR, secure: false });
		redirect(303, back(url));
	},
	add: async ({ request, cookies, url }) => {
		const form = await formTexts(request);
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
		const person = await ask((db) => addPerson(db, name, initials));
		if (!person) {
			const says = tell(message('operator.initials-in-use', { initials }));
			const problems = { name: undefined, initials: says };
			return fail(409, { problems, name, initials });
		}
		cookies.set('zinc-person', person.id, { path: '/', maxAge: YEAR, secure: false });
		redirect(303, back(url));
	}
};
