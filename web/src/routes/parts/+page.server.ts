import { fail } from '@sveltejs/kit';
import { v7 as uuid } from 'uuid';
import { PART_SORTS, type LibraryPart, type PartSort } from '@zinc-ledger/core';
import { readParts } from '@zinc-ledger/core/parts';
import { partsFromCsv } from '$lib/parts/csv';
import { ask } from '$lib/server/ask';
import { importParts, listParts, moveStock, retirePart } from '$lib/server/parts';

export const load = async ({ url }) => {
	const wanted = url.searchParams.get('sort') as PartSort;
	const sort = PART_SORTS.includes(wanted) ? wanted : 'spring';
	const find = url.searchParams.get('find') ?? '';
	return { sort, find, parts: await ask((db) => listParts(db, { sort, find })) };
};

const NOBODY = 'Pick who works at this bench first, at the top.';

export const actions = {
	import: async ({ request, locals }) => {
		if (!locals.person) return fail(401, { problems: [{ path: 'name', message: NOBODY }] });
		const { person, units } = locals;
		const file = (await request.formData()).get('file');
		if (!(file instanceof File) || file.size === 0) {
			return fail(400, { problems: [{ path: 'file', message: 'choose a parts file first' }] });
		}
		const text = await file.text();
		const known = new Map((await ask((db) => listParts(db))).map((part) => [part.part.id, part]));
		const isJson = text.trimStart().startsWith('{');
		const read = isJson ? readParts(text) : partsFromCsv(text, units, (id) => known.get(id), uuid);
		if (!read.ok) return fail(400, { file: file.name, problems: [...read.problems] });
		const parts: readonly LibraryPart[] = 'value' in read ? read.value : read.parts;
		await ask((db) => importParts(db, parts, person));
		return { taken: parts.length };
	},
	stock: async ({ request, locals }) => {
		if (!locals.person) return fail(401, { problems: [{ path: 'name', message: NOBODY }] });
		const { person } = locals;
		const form = Object.fromEntries(await request.formData());
		const change = Number(form.change);
		const reason = String(form.reason ?? '').trim();
		const refuse = (message: string) =>
			fail(400, { stockOf: String(form.id), stockProblem: message });
		if (!Number.isInteger(change) || change === 0) return refuse('A whole number, + in or − out.');
		if (Math.abs(change) > 10_000) return refuse('At most 10,000 at a time.');
		if (reason === '') return refuse('Say why.');
		const now = await ask((db) => moveStock(db, String(form.id), change, reason, person));
		if (now === null) return refuse('There are not that many on the shelf.');
		return { moved: now };
	},
	retire: async ({ request, locals }) => {
		if (!locals.person) return fail(401, { problems: [{ path: 'name', message: NOBODY }] });
		const { person } = locals;
		const form = Object.fromEntries(await request.formData());
		await ask((db) => retirePart(db, String(form.id), form.retired === 'yes', person));
		return {};
	}
};
