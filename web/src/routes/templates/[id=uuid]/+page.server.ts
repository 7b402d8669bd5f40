import { fail, redirect } from '@sveltejs/kit';
import { message } from '@zinc-ledger/core';
import { tell } from '@zinc-ledger/words';
import { withDatabase } from '$lib/server/with-database';
import { formTexts, revisionIn } from '$lib/server/http/body';
import { findKept, saveKept } from '$lib/server/kept';
import { refuse } from '$lib/server/http/refuse';
import { templateFrom, textsOfTemplate } from '$lib/job/templates/form';

async function known(id: string) {
	const kept = await withDatabase((db) => findKept(db, 'template', id));
	if (!kept) refuse(404, message('server.unknown', { what: 'template' }));
	return kept;
}

export const load = async ({ params }) => {
	const { doc, revision } = await known(params.id);
	return { name: doc.name, values: { ...textsOfTemplate(doc), revision: String(revision) } };
};

export const actions = {
	default: async ({ request, params, locals }) => {
		const values = await formTexts(request);
		const { person, units } = locals;
		const refused = (
			status: number,
			text: string,
			problems: Readonly<Record<string, string>> = {}
		) => fail(status, { message: text, problems, values });
		if (!person) return refused(401, tell(message('server.operator-required')));
		const read = templateFrom(values, (await known(params.id)).doc, units);
		if (!read.ok) return refused(400, tell(message('server.not-saved')), read.problems);
		const isKept = await withDatabase((db) =>
			saveKept(db, 'template', read.template, revisionIn(values), person)
		);
		if (!isKept) return refused(409, tell(message('server.changed-meanwhile')));
		redirect(303, '/templates');
	}
};
