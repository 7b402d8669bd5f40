import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { Setup, StationEntry } from '@zinc-ledger/core/schema';
import { withDatabase } from '$lib/server/with-database';
import { checkedBody } from '$lib/server/http/body';
import { saveSetup } from '$lib/server/jobs/change';
import { message } from '@zinc-ledger/core';
import { refuse } from '$lib/server/http/refuse';

const Change = z.strictObject({
	revision: z.int(),
	setup: Setup,
	/** Stations that the same change builds otherwise. */
	builds: z
		.array(
			StationEntry.pick({ label: true, shims: true, lockOffset: true, parts: true, spring: true })
		)
		.max(80)
		.optional()
});

/** Changes the set-up, if nobody changed it since the named revision. */
export async function PUT({ request, params, locals }) {
	const { revision, setup, builds } = await checkedBody(request, Change);
	const { person } = locals;
	if (!person) refuse(401, message('server.operator-required'));
	const saved = await withDatabase((db) =>
		saveSetup(db, params.id, revision, setup, person, builds)
	);
	if (saved === null) {
		refuse(409, message('server.changed-meanwhile'));
	}
	return json({ revision: saved });
}
