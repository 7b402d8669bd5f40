import { error, json } from '@sveltejs/kit';
import { Plan } from '@zinc-ledger/core/schema';
import { ask } from '$lib/server/ask';
import { checkedBody } from '$lib/server/body';
import { acceptPlan } from '$lib/server/jobs/change';
import { findPerson } from '$lib/server/people';

/** Accepts a plan: keeps it, and makes the stations' builds what it says. */
export async function POST({ request, params }) {
	const plan = await checkedBody(request, Plan);
	return ask(async (db) => {
		if (!(await findPerson(db, plan.person))) error(400, 'Pick who works at this bench.');
		await acceptPlan(db, params.id, plan);
		return json({ kept: true });
	});
}
