import { fail } from '@sveltejs/kit';
import { message } from '@zinc-ledger/core';
import { tell } from '@zinc-ledger/words';
import { withDatabase } from '$lib/server/with-database';
import { formTexts, isId } from '$lib/server/http/body';
import { listKept, retireKept } from '$lib/server/kept';

export const load = async () => ({
	templates: (await withDatabase((db) => listKept(db, 'template'))).map(({ doc, retired }) => ({
		id: doc.id,
		name: doc.name,
		retired,
		layout: doc.layout,
		lifters: doc.setup.lifters,
		ratio: doc.setup.kinds.intake.rocker?.ratio ?? null
	}))
});

export const actions = {
	retire: async ({ request, locals }) => {
		const { person } = locals;
		if (!person) return fail(401, { message: tell(message('server.operator-required')) });
		const { id, retired } = await formTexts(request);
		if (!isId(id))
			return fail(400, { message: tell(message('server.unknown', { what: 'template' })) });
		await withDatabase((db) => retireKept(db, 'template', id, retired === 'yes', person));
		return { message: null };
	}
};
