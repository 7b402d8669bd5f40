import { fail } from '@sveltejs/kit';
import { message } from '@zinc-ledger/core';
import { tell } from '@zinc-ledger/words';
import { withDatabase } from '$lib/server/with-database';
import { formTexts } from '$lib/server/http/body';
import { shopKeys } from '$lib/server/signing/shop-key';
import { changeLimits, limitChanges, ownLimits } from '$lib/server/shop';
import { changesOf, defaultTexts, shopProblems } from '$lib/job/setup/shop';

export const load = async ({ locals }) => ({
	usual: defaultTexts(locals.units.length),
	...(await withDatabase(async (db) => ({
		own: await ownLimits(db),
		changes: await limitChanges(db),
		keys: await shopKeys(db)
	})))
});

export const actions = {
	default: async ({ request, locals }) => {
		const values = await formTexts(request);
		const { person, units } = locals;
		const refused = (status: number, text: string, problems: Record<string, string> = {}) =>
			fail(status, { message: text, problems, values });
		if (!person) return refused(401, tell(message('server.operator-required')));
		const own = await withDatabase(ownLimits);
		const changes = changesOf(values, own, units.length);
		const after = { ...own, ...Object.fromEntries(changes.map(({ field, to }) => [field, to])) };
		const set = Object.fromEntries(Object.entries(after).filter(([, text]) => text !== ''));
		const problems = shopProblems(units.length, set);
		if (Object.keys(problems).length > 0)
			return refused(400, tell(message('server.not-saved')), problems);
		await withDatabase((db) => changeLimits(db, changes, person));
		return { changed: changes.length };
	}
};
