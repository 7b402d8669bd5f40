import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { withDatabase } from '$lib/server/with-database';
import { checkedBody } from '$lib/server/http/body';
import { setLimits } from '$lib/server/springs/springs';
import { issue, message } from '@zinc-ledger/core';
import { refuse } from '$lib/server/http/refuse';

const part = z
	.number(issue('field.number', { example: '0.05' }))
	.min(0, issue('field.min', { min: 0 }))
	.max(1, issue('field.max', { max: 1 }));
const Limits = z
	.strictObject({ oddWatch: part, oddStop: part, sagWatch: part, sagStop: part })
	.refine(({ oddWatch, oddStop }) => oddStop >= oddWatch, issue('set.pair'))
	.refine(({ sagWatch, sagStop }) => sagStop >= sagWatch, issue('set.pair'));

/** Keeps from which parts the springs of a set are watched and stopped at. */
export async function PUT({ request, params, locals }) {
	const limits = await checkedBody(request, Limits);
	if (!locals.person) refuse(401, message('server.operator-required'));
	const kept = await withDatabase((db) => setLimits(db, params.id, limits));
	if (!kept) refuse(404, message('server.unknown', { what: 'set' }));
	return json({ kept: true });
}
