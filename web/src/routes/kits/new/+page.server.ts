import { fail, redirect } from '@sveltejs/kit';
import { v7 as uuid } from 'uuid';
import { message, TYPE_OF, type LibraryPart } from '@zinc-ledger/core';
import { tell } from '@zinc-ledger/words';
import { PAPER_FIELDS } from '$lib/parts/kits/fields';
import { EXHAUST, kitFromPaper } from '$lib/parts/kits/paper';
import { withDatabase } from '$lib/server/with-database';
import { formTexts } from '$lib/server/http/body';
import { inTransaction } from '$lib/server/database/transaction';
import { saveKept } from '$lib/server/kept';
import { keepParts, partCalled } from '$lib/server/parts/parts';

/** Fields of the paper that name a part, which the library may have already. */
const NAMES = PAPER_FIELDS.filter(({ path }) => path.endsWith('.name')).flatMap(({ path }) => [
	path,
	EXHAUST + path
]);

export const actions = {
	default: async ({ request, locals }) => {
		const values = await formTexts(request);
		const { person, units } = locals;
		if (!person) return fail(401, { message: tell(message('server.operator-required')), values });
		const there = new Map<string, LibraryPart>();
		await withDatabase(async (db) => {
			for (const path of NAMES) {
				const place = path.replace(EXHAUST, '').split('.')[0] as keyof typeof TYPE_OF;
				const name = values[path]?.trim();
				const part = name ? await partCalled(db, TYPE_OF[place], name) : undefined;
				if (part) there.set(`${place} ${name!.toLowerCase()}`, part);
			}
		});
		const read = kitFromPaper(
			values,
			units,
			(place, name) => there.get(`${place} ${name.trim().toLowerCase()}`),
			uuid
		);
		if (!read.ok)
			return fail(400, {
				message: tell(message('server.not-saved')),
				problems: read.problems,
				values
			});
		await withDatabase((db) =>
			inTransaction(db, async (trx) => {
				await keepParts(trx, read.parts, person);
				await saveKept(trx, 'kit', read.kit, null, person);
			})
		);
		redirect(303, `/kits/${read.kit.id}`);
	}
};
