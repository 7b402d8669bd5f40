import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { Plan } from '@zinc-ledger/core/schema';
import { Id, Line } from '@zinc-ledger/core/units-schema';
import { refuseOtherName } from '$lib/server/access/gate';
import { withDatabase } from '$lib/server/with-database';
import { checkedBody } from '$lib/server/http/body';
import { acceptPlan, withdrawPlan } from '$lib/server/jobs/change';
import { findPerson } from '$lib/server/people';
import { issue, message } from '@zinc-ledger/core';
import { refuse } from '$lib/server/http/refuse';

const Withdrawal = z.strictObject({ plan: Id, reason: Line.min(1, issue('field.required')) });

/** Takes the newest plan back, with the reason. */
export async function DELETE({ request, params, locals }) {
	const { plan, reason } = await checkedBody(request, Withdrawal);
	const { person } = locals;
	if (!person) refuse(401, message('server.operator-required'));
	await withDatabase((db) => withdrawPlan(db, params.id, plan, reason, person));
	return json({ kept: true });
}

/** Accepts a plan: keeps it, and makes the stations' builds what it says. */
export async function POST({ request, params, locals }) {
	const plan = { ...(await checkedBody(request, Plan)), at: new Date().toISOString() };
	refuseOtherName(locals, [plan.person]);
	return withDatabase(async (db) => {
		if (!(await findPerson(db, plan.person))) refuse(400, message('server.operator-required'));
		await acceptPlan(db, params.id, plan);
		return json({ kept: true, at: plan.at });
	});
}
