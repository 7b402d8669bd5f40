import { fail } from '@sveltejs/kit';
import { v7 as uuid } from 'uuid';
import { faultsOf, faultsOfKits, message, SORT_OF } from '@zinc-ledger/core';
import { readKits } from '@zinc-ledger/core/kits';
import { kitsFromCsv } from '$lib/kits/csv';
import { ask } from '$lib/server/ask';
import { formTexts, formWithFile, isId } from '$lib/server/body';
import { listKept, retireKept } from '$lib/server/kept';
import { importKits, partsOfKits } from '$lib/server/kits';
import { listParts } from '$lib/server/parts';

export const load = async ({ url }) => {
	const find = url.searchParams.get('find') ?? '';
	return ask(async (db) => {
		const kits = await listKept(db, 'kit', find);
		const parts = await partsOfKits(
			db,
			kits.map(({ doc }) => doc)
		);
		return { find, kits, parts: Object.fromEntries(parts) };
	});
};

export const actions = {
	import: async ({ request, locals }) => {
		if (!locals.person)
			return fail(401, { problems: [{ path: '', text: message('server.operator-required') }] });
		const { person } = locals;
		const { file } = await formWithFile(request);
		if (!file)
			return fail(400, {
				problems: [{ path: 'file', text: message('import.choose-file', { what: 'kits' }) }]
			});
		const { name, text } = file;
		if (text.trimStart().startsWith('{')) {
			const read = readKits(text);
			const problems = read.ok ? faultsOf(read.value.parts) : read.problems;
			if (!read.ok || problems.length > 0)
				return fail(400, { file: name, problems: [...problems] });
			await ask((db) => importKits(db, read.value, person));
			return { taken: read.value.kits.length };
		}
		const library = await ask((db) => listParts(db));
		const sortOf = new Map(library.map(({ part, sort }) => [part.id, sort]));
		const read = kitsFromCsv(text, (id, place) => sortOf.get(id) === SORT_OF[place], uuid);
		const problems = read.ok ? faultsOfKits(read.kits, library) : read.problems;
		if (!read.ok || problems.length > 0) return fail(400, { file: name, problems: [...problems] });
		await ask((db) => importKits(db, { kits: read.kits, parts: [] }, person));
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
		await ask((db) => retireKept(db, 'kit', id, retired === 'yes', person));
		return {};
	}
};
