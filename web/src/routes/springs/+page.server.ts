import { fail, redirect } from '@sveltejs/kit';
import { z } from 'zod';
import { issue, message } from '@zinc-ledger/core';
import { tell } from '@zinc-ledger/words';
import { withDatabase } from '$lib/server/with-database';
import { fieldProblems, formTexts, trimmed } from '$lib/server/http/body';
import { listParts } from '$lib/server/parts/parts';
import { readSetForm } from '$lib/server/springs/spring-set-form';
import { addSet, listSets } from '$lib/server/springs/springs';

export const load = async ({ url }) => {
	const typed = url.searchParams.get('page') ?? '';
	const page = /^\d{1,5}$/.test(typed) ? Number(typed) : 0;
	const { found, cards } = await withDatabase(async (db) => ({
		found: await listSets(db, page),
		cards: await listParts(db, { type: 'spring' })
	}));
	return { ...found, page, cards };
};

const Count = z.object({
	count: z.coerce
		.number(issue('set.count-missing'))
		.int(issue('field.whole-number'))
		.min(1, issue('field.min', { min: 1 }))
		.max(96, issue('field.max', { max: 96 }))
});

export const actions = {
	default: async ({ request, locals }) => {
		const { person, units } = locals;
		const typed = trimmed(await formTexts(request));
		const refused = (status: number, problems: Record<string, string>) =>
			fail(status, { problems, typed });
		if (!person) return refused(401, { name: tell(message('server.operator-required')) });
		const count = Count.safeParse(typed);
		const read = await readSetForm(typed, units);
		if (!count.success || !read.ok)
			return refused(400, {
				...(!count.success && fieldProblems(count.error)),
				...(!read.ok && read.problems)
			});
		const id = await withDatabase((db) => addSet(db, read.set, count.data.count, person));
		redirect(303, typed.then === 'test' ? `/springs/${id}/capture` : `/springs/${id}`);
	}
};
