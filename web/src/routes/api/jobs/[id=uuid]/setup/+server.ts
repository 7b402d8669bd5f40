import { error, json } from '@sveltejs/kit';
import { z } from 'zod';
import { Setup } from '@zinc-ledger/core/schema';
import { ask } from '$lib/server/ask';
import { checkedBody } from '$lib/server/body';
import { saveSetup } from '$lib/server/jobs/change';

const Change = z.strictObject({ revision: z.int(), setup: Setup });

/** Changes the set-up, if nobody changed it since the named revision. */
export async function PUT({ request, params, locals }) {
	const { revision, setup } = await checkedBody(request, Change);
	const { person } = locals;
	if (!person) error(401, 'Pick who works at this bench first.');
	const saved = await ask((db) => saveSetup(db, params.id, revision, setup, person));
	if (saved === null) {
		error(409, 'Somebody else changed this job meanwhile: load the page anew, then choose again.');
	}
	return json({ revision: saved });
}
