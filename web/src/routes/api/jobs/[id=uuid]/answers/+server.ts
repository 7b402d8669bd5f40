import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { withDatabase } from '$lib/server/with-database';
import { checkedBody } from '$lib/server/http/body';
import { answerQuestion } from '$lib/server/jobs/change';
import { issue, message } from '@zinc-ledger/core';
import { refuse } from '$lib/server/http/refuse';

/** What the sheet asks: if a part was forgotten, if a reading came before or after a work, if pockets were measured again. */
const ASKED =
	/^(heads\.[A-Za-z0-9]{1,8}\.forgotten\.(locator|shims|locks)|readings\.[0-9a-f-]{36}\.after\.[0-9a-f-]{36}|setup\.pocket\.after\.[0-9a-f-]{36})$/;
const Body = z.strictObject({
	subject: z.string().regex(ASKED, issue('field.invalid')),
	answer: z.boolean()
});

/** Keeps what somebody said to a question of the sheet, as a decision. */
export async function POST({ request, params, locals }) {
	const { subject, answer } = await checkedBody(request, Body);
	const { person } = locals;
	if (!person) refuse(401, message('server.operator-required'));
	const decision = await withDatabase((db) =>
		answerQuestion(db, params.id, subject, answer, person)
	);
	return json({ decision });
}
