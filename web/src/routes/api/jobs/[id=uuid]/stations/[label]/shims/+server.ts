import { error, json } from '@sveltejs/kit';
import { z } from 'zod';
import { StationEntry } from '@zinc-ledger/core/schema';
import { ask } from '$lib/server/ask';
import { checkedBody } from '$lib/server/body';
import { setShims } from '$lib/server/jobs';

const Build = z.strictObject({ shims: StationEntry.shape.shims.unwrap() });

/** Sets the shims of a station's build. */
export async function PUT({ request, params, locals }) {
	const { shims } = await checkedBody(request, Build);
	const { person } = locals;
	if (!person) error(401, 'Pick who works at this bench first.');
	const decision = await ask((db) => setShims(db, params.id, params.label, shims, person));
	return json({ decision });
}
