import { flatten } from '$lib/forms/flat';
import { fieldsOf } from '$lib/parts/fields';
import { ask } from '$lib/server/ask';
import { keepPart } from '$lib/server/keep-part';
import { findPart } from '$lib/server/parts';
import { message } from '@zinc-ledger/core';
import { refuse } from '$lib/server/refuse';

async function known(id: string) {
	const part = await ask((db) => findPart(db, id));
	if (!part) refuse(404, message('server.unknown', { what: 'part' }));
	return part;
}

export const load = async ({ params }) => {
	const { sort, part, revision } = await known(params.id);
	const values = { ...flatten(part, fieldsOf(sort)), revision: String(revision) };
	return { sort, name: part.name, values };
};

export const actions = {
	default: async ({ request, params, locals }) => {
		const before = await known(params.id);
		return keepPart({ request, ...locals, sort: before.sort, id: params.id, before });
	}
};
