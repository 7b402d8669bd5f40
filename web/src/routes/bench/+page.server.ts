import { fail, redirect } from '@sveltejs/kit';
import { z } from 'zod';
import { ask } from '$lib/server/ask';
import { formTexts, isId } from '$lib/server/body';
import { addPerson, findPerson, listPeople } from '$lib/server/people';

const YEAR = 365 * 24 * 3600;
const Newcomer = z.object({
	name: z.string().trim().min(1, 'Type the name.').max(80, 'At most 80 letters.'),
	initials: z
		.string()
		.trim()
		.toUpperCase()
		.regex(/^\p{L}{1,4}$/u, 'One to four letters.')
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
		if (!known || !id) return fail(400, { pick: 'Pick one of the people listed.' });
		cookies.set('zinc-person', id, { path: '/', maxAge: YEAR, secure: false });
		redirect(303, back(url));
	},
	add: async ({ request, cookies, url }) => {
		const form = await formTexts(request);
		const checked = Newcomer.safeParse(form);
		if (!checked.success) {
			const { fieldErrors } = z.flattenError(checked.error);
			return fail(400, {
				problems: fieldErrors,
				name: String(form.name),
				initials: String(form.initials)
			});
		}
		const { name, initials } = checked.data;
		const person = await ask((db) => addPerson(db, name, initials));
		if (!person) {
			const problems = { name: undefined, initials: [`${initials} is somebody here already.`] };
			return fail(409, { problems, name, initials });
		}
		cookies.set('zinc-person', person.id, { path: '/', maxAge: YEAR, secure: false });
		redirect(303, back(url));
	}
};
