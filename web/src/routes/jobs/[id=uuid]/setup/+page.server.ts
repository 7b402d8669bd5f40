import { unitsFor, unitsNamed } from '$lib/server/http/units-for';
import { fail } from '@sveltejs/kit';
import type { Cam } from '@zinc-ledger/core';
import { Setup } from '@zinc-ledger/core/schema';
import { withDatabase } from '$lib/server/with-database';
import { fieldProblems, formTexts, isId, revisionIn } from '$lib/server/http/body';
import { saveSetup } from '$lib/server/jobs/change';
import { loadJob } from '$lib/server/jobs/load';
import { findPart, listParts } from '$lib/server/parts/parts';
import { shopSetup } from '$lib/server/shop';
import { flatten, type Values } from '$lib/forms/flat';
import { OWN_CAM } from '$lib/job/setup/cam';
import { SHOP_FIELDS } from '$lib/job/setup/fields';
import { setupFrom } from '$lib/job/setup/values';
import { message, type Message } from '@zinc-ledger/core';
import { tell } from '@zinc-ledger/words';
import { refuse } from '$lib/server/http/refuse';

type LibraryCam = Cam & { id: string };

export const load = async ({ locals, parent }) => {
	const { job } = await parent();
	const { length } = unitsFor(locals, job);
	return withDatabase(async (db) => ({
		cams: (await listParts(db, { type: 'cam' }))
			.filter(({ retired }) => !retired)
			.map(({ part }) => part as LibraryCam),
		/** What the shop's jobs start with, as texts of the form. */
		shop: flatten(await shopSetup(db, length), SHOP_FIELDS)
	}));
};

export const actions = {
	default: async ({ request, params, locals }) => {
		const values: Values = await formTexts(request);
		const { person } = locals;
		const refused = (status: number, says: Message, problems: Record<string, string> = {}) =>
			fail(status, { message: tell(says), problems, values });

		if (!person) return refused(401, message('server.operator-required'));
		const loaded = await withDatabase((db) => loadJob(db, params.id));
		if (!loaded) refuse(404, message('server.unknown', { what: 'job' }));

		const { setup } = loaded.job;
		// What was typed means what the page said while it was typed, whatever was measured since.
		const units = unitsNamed(values.units) ?? unitsFor(locals, loaded.job);
		const cam = await camNamed(values.cam ?? '', setup.cam);
		const checked = Setup.safeParse(setupFrom(values, { ...setup, cam }, units));
		if (!checked.success) {
			return refused(400, message('server.not-saved'), fieldProblems(checked.error));
		}
		const stranger = checked.data.atHand?.find(
			(label) => !loaded.job.stations.some((station) => station.label === label)
		);
		if (stranger)
			return refused(400, message('server.not-saved'), {
				atHand: tell(message('job.no-station', { station: stranger }))
			});
		const revision = await withDatabase((db) =>
			saveSetup(db, params.id, revisionIn(values), checked.data, person)
		);
		if (revision === null) {
			return refused(409, message('server.changed-meanwhile'));
		}
		return { saved: true };
	}
};

/** The cam that the form names: none, the job's own as it stands, or one of the library. */
async function camNamed(id: string, own: Cam | undefined): Promise<Cam | undefined> {
	if (id === '') return undefined;
	if (id === OWN_CAM) return own;
	const found = isId(id) ? await withDatabase((db) => findPart(db, id)) : null;
	return found?.type === 'cam' ? found.part : undefined;
}
