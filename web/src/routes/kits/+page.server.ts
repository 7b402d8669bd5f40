import { fail } from '@sveltejs/kit';
import { message } from '@zinc-ledger/core';
import { withDatabase } from '$lib/server/with-database';
import { formTexts, isId } from '$lib/server/http/body';
import { listKept, retireKept } from '$lib/server/kept';
import { importKits, partsOfKits } from '$lib/server/parts/kits';
import { listParts } from '$lib/server/parts/parts';
import { work } from '$lib/server/work/pool';

export const load = async ({ url }) => {
	const find = url.searchParams.get('find') ?? '';
	return withDatabase(async (db) => {
		const kits = await listKept(db, 'kit', find);
		const parts = await partsOfKits(
			db,
			kits.map(({ doc }) => doc)
		);
		return { find, kits, parts: Object.fromEntries(parts) };
	});
};

export const actions = {
	import: async ({ locals }) => {
		if (!locals.person)
			return fail(401, { problems: [{ path: '', text: message('server.operator-required') }] });
		const { person } = locals;
		const library = await withDatabase((db) => listParts(db));
		const file = await work('kitsFile', { sent: locals.sent, library });
		if (!file)
			return fail(400, {
				problems: [{ path: 'file', text: message('import.choose-file', { what: 'kits' }) }]
			});
		const { name, read } = file;
		if (!read.ok) return fail(400, { file: name, problems: [...read.problems] });
		await withDatabase((db) => importKits(db, read, person));
		return { taken: read.kits.length };
	},
	retire: async ({ request, locals }) => {
		if (!locals.person)
			return fail(401, { problems: [{ path: '', text: message('server.operator-required') }] });
		const { person } = locals;
		const { id, retired } = await formTexts(request);
		if (!isId(id))
			return fail(400, {
				problems: [{ path: 'id', text: message('server.unknown', { what: 'kit' }) }]
			});
		await withDatabase((db) => retireKept(db, 'kit', id, retired === 'yes', person));
		return {};
	}
};
