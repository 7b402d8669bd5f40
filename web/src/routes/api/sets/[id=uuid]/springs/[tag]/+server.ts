import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { Line, PositiveSize } from '@zinc-ledger/core/units-schema';
import { withDatabase } from '$lib/server/with-database';
import { checkedBody } from '$lib/server/http/body';
import { setMeasured } from '$lib/server/springs/springs';
import { message } from '@zinc-ledger/core';
import { refuse } from '$lib/server/http/refuse';

const Measured = z.strictObject({
	freeHeight: PositiveSize.optional(),
	outside: PositiveSize.optional(),
	wire: PositiveSize.optional(),
	serial: Line.optional(),
	bind: PositiveSize.optional()
});

/** Keeps what was measured of a spring by hand, and a bind placed by eye. */
export async function PUT({ request, params, locals }) {
	const { bind, ...measured } = await checkedBody(request, Measured);
	const { person } = locals;
	if (!person) refuse(401, message('server.operator-required'));
	const placed = bind && { height: bind, person: person.initials, at: new Date().toISOString() };
	await withDatabase((db) =>
		setMeasured(db, params.id, params.tag, { ...measured, ...(placed && { bind: placed }) })
	);
	return json({ kept: true });
}
