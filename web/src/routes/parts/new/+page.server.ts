import { v7 as uuid } from 'uuid';
import { PART_SORTS, type PartSort } from '@zinc-ledger/core';
import { flatten } from '$lib/forms/flat';
import { fieldsOf } from '$lib/parts/fields';
import { ask } from '$lib/server/ask';
import { isId } from '$lib/server/body';
import { keepPart } from '$lib/server/keep-part';
import { findPart } from '$lib/server/parts';

function sortIn(url: URL): PartSort {
	const sort = url.searchParams.get('sort') as PartSort;
	return PART_SORTS.includes(sort) ? sort : 'spring';
}

async function copied(url: URL) {
	const id = url.searchParams.get('copy') ?? '';
	if (!isId(id)) return null;
	const part = await ask((db) => findPart(db, id));
	return part?.sort === sortIn(url) ? part : null;
}

export const load = async ({ url }) => {
	const sort = sortIn(url);
	const original = await copied(url);
	const values = flatten(original?.part ?? {}, fieldsOf(sort));
	if (original) values.name = `${values.name}, copy`;
	return { sort, values };
};

export const actions = {
	default: async ({ request, url, locals }) =>
		keepPart({ request, ...locals, sort: sortIn(url), id: uuid(), before: await copied(url) })
};
