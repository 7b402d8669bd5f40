import { v7 as uuid } from 'uuid';
import { PART_TYPES, type PartType } from '@zinc-ledger/core';
import { flatten } from '$lib/forms/flat';
import { fieldsOf } from '$lib/parts/library/fields';
import { withDatabase } from '$lib/server/with-database';
import { isId } from '$lib/server/http/body';
import { keepPart } from '$lib/server/parts/keep-part';
import { findPart } from '$lib/server/parts/parts';

function typeIn(url: URL): PartType {
	const type = url.searchParams.get('type') as PartType;
	return PART_TYPES.includes(type) ? type : 'spring';
}

async function copied(url: URL) {
	const id = url.searchParams.get('copy') ?? '';
	if (!isId(id)) return null;
	const part = await withDatabase((db) => findPart(db, id));
	return part?.type === typeIn(url) ? part : null;
}

export const load = async ({ url }) => {
	const type = typeIn(url);
	const original = await copied(url);
	const values = flatten(original?.part ?? {}, fieldsOf(type));
	if (original) values.name = `${values.name}, copy`;
	return { type, values };
};

export const actions = {
	default: async ({ request, url, locals }) =>
		keepPart({ request, ...locals, type: typeIn(url), id: uuid(), before: await copied(url) })
};
