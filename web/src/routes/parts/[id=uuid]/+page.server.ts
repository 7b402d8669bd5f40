import { flatten } from '$lib/forms/flat';
import { fieldsOf } from '$lib/parts/library/fields';
import { withDatabase } from '$lib/server/with-database';
import { keepPart } from '$lib/server/parts/keep-part';
import { findPart } from '$lib/server/parts/parts';
import { message } from '@zinc-ledger/core';
import { refuse } from '$lib/server/http/refuse';

async function known(id: string) {
	const part = await withDatabase((db) => findPart(db, id));
	if (!part) refuse(404, message('server.unknown', { what: 'part' }));
	return part;
}

export const load = async ({ params }) => {
	const { type, part, revision } = await known(params.id);
	const values = { ...flatten(part, fieldsOf(type)), revision: String(revision) };
	return { type, name: part.name, values };
};

export const actions = {
	default: async ({ request, params, locals }) => {
		const before = await known(params.id);
		return keepPart({ request, ...locals, type: before.type, id: params.id, before });
	}
};
