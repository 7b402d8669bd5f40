import { fail } from '@sveltejs/kit';
import { headsOf, message } from '@zinc-ledger/core';
import { tell } from '@zinc-ledger/words';
import { withDatabase } from '$lib/server/with-database';
import { formTexts, isId, trimmed } from '$lib/server/http/body';
import { findEngineById, listEngines } from '$lib/server/jobs/customers';
import { findHead, markHead, moveHead, visitsOfHead } from '$lib/server/visits/heads';
import { jobLines } from '$lib/server/jobs/lines';
import { refuse } from '$lib/server/http/refuse';
import { serviceOfHead } from '$lib/server/visits/service';
import { lastSignedOfHead } from '$lib/server/visits/visits';

export const load = async ({ params }) =>
	withDatabase(async (db) => {
		const head = await findHead(db, params.id);
		if (!head) refuse(404, message('server.unknown', { what: 'head' }));
		const last = await lastSignedOfHead(db, head.id);
		return {
			head,
			jobs: await jobLines(db, await visitsOfHead(db, head.id)),
			isSigned: last !== undefined,
			service: await serviceOfHead(db, head.id),
			places: (await listEngines(db)).flatMap(({ id, name, customer, layout }) =>
				headsOf(layout).map((place) => ({
					value: `${id}:${place.id}`,
					label: `${name}, ${place.name}`,
					note: customer
				}))
			)
		};
	});

const LONGEST = 80;

export const actions = {
	/** Says what the head is known by. */
	mark: async ({ request, params, locals }) => {
		const { mark = '' } = trimmed(await formTexts(request));
		if (!locals.person) return fail(401, { mark: tell(message('server.operator-required')) });
		if (mark.length > LONGEST)
			return fail(400, {
				mark: tell(message('field.max', { max: LONGEST, unit: 'characters' }))
			});
		await withDatabase((db) => markHead(db, params.id, mark));
		return { marked: true };
	},
	/** Says which engine the head is on now. */
	move: async ({ request, params, locals }) => {
		const { to = '' } = await formTexts(request);
		const [engineId = '', place = ''] = to.split(':');
		if (!locals.person) return fail(401, { move: tell(message('server.operator-required')) });
		const engine = isId(engineId)
			? await withDatabase((db) => findEngineById(db, engineId))
			: undefined;
		if (!engine || !headsOf(engine.layout).some(({ id }) => id === place))
			return fail(400, { move: tell(message('visit.place-unknown')) });
		await withDatabase((db) => moveHead(db, params.id, engine.id, place));
		return { moved: true };
	}
};
