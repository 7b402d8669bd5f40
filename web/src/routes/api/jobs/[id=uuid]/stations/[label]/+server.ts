import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { StationEntry, StationParts } from '@zinc-ledger/core/schema';
import { withDatabase } from '$lib/server/with-database';
import { checkedBody } from '$lib/server/http/body';
import { setStation } from '$lib/server/jobs/change';
import { message } from '@zinc-ledger/core';
import { refuse } from '$lib/server/http/refuse';

const Change = z.union([
	z.strictObject({ shims: StationEntry.shape.shims.unwrap() }),
	z.strictObject({ parts: StationParts.nullable() })
]);

/** Changes what a station is built of: its shims, or parts of its own. */
export async function PATCH({ request, params, locals }) {
	const change = await checkedBody(request, Change);
	const { person } = locals;
	if (!person) refuse(401, message('server.operator-required'));
	const decision = await withDatabase((db) =>
		'shims' in change
			? setStation(db, params.id, params.label, 'shims', change.shims, person)
			: setStation(db, params.id, params.label, 'parts', change.parts ?? undefined, person)
	);
	return json({ decision });
}
