import { fail, redirect } from '@sveltejs/kit';
import { v7 as uuid } from 'uuid';
import { message, templateOf, type Template, type Units } from '@zinc-ledger/core';
import { tell } from '@zinc-ledger/words';
import { withDatabase } from '$lib/server/with-database';
import { formTexts, isId } from '$lib/server/http/body';
import { loadJob } from '$lib/server/jobs/load';
import { saveKept } from '$lib/server/kept';
import { shopSetup } from '$lib/server/shop';
import { USUAL_ENGINES } from '$lib/job/setup/take-in';
import { templateFrom, textsOfTemplate } from '$lib/job/templates/form';

/** What a template begins as: the engine of a job, or an empty one. */
async function begun(from: string | null, units: Units): Promise<Template> {
	const id = uuid();
	const loaded = isId(from) ? await withDatabase((db) => loadJob(db, from)) : null;
	if (loaded) return templateOf(loaded.job, { id, name: loaded.job.engine.name });
	const usual = await withDatabase((db) => shopSetup(db, units.length));
	return {
		id,
		name: '',
		layout: USUAL_ENGINES[0]!.layout as Template['layout'],
		setup: usual
	};
}

export const load = async ({ url, locals }) => {
	const from = url.searchParams.get('from');
	const template = await begun(from, locals.units);
	return { values: { ...textsOfTemplate(template), from: from ?? '' } };
};

export const actions = {
	default: async ({ request, locals }) => {
		const values = await formTexts(request);
		const { person, units } = locals;
		if (!person) return fail(401, { message: tell(message('server.operator-required')), values });
		const read = templateFrom(values, await begun(values.from ?? null, units), units);
		if (!read.ok)
			return fail(400, {
				message: tell(message('server.not-saved')),
				problems: read.problems,
				values
			});
		await withDatabase((db) => saveKept(db, 'template', read.template, null, person));
		redirect(303, '/templates');
	}
};
