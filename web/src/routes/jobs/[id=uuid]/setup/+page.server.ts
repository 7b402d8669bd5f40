import { error, fail, redirect } from '@sveltejs/kit';
import type { Cam } from '@zinc-ledger/core';
import { Setup } from '@zinc-ledger/core/schema';
import { ask } from '$lib/server/ask';
import { formTexts, isId, revisionIn } from '$lib/server/body';
import { saveSetup } from '$lib/server/jobs/change';
import { loadJob } from '$lib/server/jobs/load';
import { findPart, listParts } from '$lib/server/parts';
import type { Values } from '$lib/forms/flat';
import { OWN_CAM } from '$lib/setup/cam';
import { setupFrom } from '$lib/setup/values';

type LibraryCam = Cam & { id: string };

export const load = async () => {
	const parts = await ask((db) => listParts(db, { sort: 'cam' }));
	return { cams: parts.filter(({ retired }) => !retired).map(({ part }) => part as LibraryCam) };
};

export const actions = {
	default: async ({ request, params, locals }) => {
		const values: Values = await formTexts(request);
		const { person } = locals;
		const refuse = (status: number, message: string, problems: Record<string, string> = {}) =>
			fail(status, { message, problems, values });

		if (!person)
			return refuse(401, 'Pick who works at this bench first; what is typed here stays.');
		const loaded = await ask((db) => loadJob(db, params.id));
		if (!loaded) error(404, 'There is no such job.');

		const { setup } = loaded.job;
		const cam = await camNamed(values.cam ?? '', setup.cam);
		const checked = Setup.safeParse(setupFrom(values, { ...setup, cam }, locals.units));
		if (!checked.success) {
			const problems = Object.fromEntries(
				checked.error.issues.map((issue) => [issue.path.join('.'), issue.message])
			);
			return refuse(400, 'Nothing was saved yet: look at the marked fields.', problems);
		}
		const revision = await ask((db) =>
			saveSetup(db, params.id, revisionIn(values), checked.data, person)
		);
		if (revision === null) {
			return refuse(
				409,
				'Somebody else changed this set-up meanwhile. Compare with theirs in another window, then save once more to overwrite.'
			);
		}
		redirect(303, `/jobs/${params.id}`);
	}
};

/** The cam that the form names: none, the job's own as it stands, or one of the library. */
async function camNamed(id: string, own: Cam | undefined): Promise<Cam | undefined> {
	if (id === '') return undefined;
	if (id === OWN_CAM) return own;
	const found = isId(id) ? await ask((db) => findPart(db, id)) : null;
	return found?.sort === 'cam' ? found.part : undefined;
}
