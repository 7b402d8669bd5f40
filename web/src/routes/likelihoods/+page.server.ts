import { fail } from '@sveltejs/kit';
import { COMPLAINTS, message, type Complaint } from '@zinc-ledger/core';
import { tell } from '@zinc-ledger/words';
import { withDatabase } from '$lib/server/with-database';
import { formTexts } from '$lib/server/http/body';
import { isWeight, likelihoods, ownWeights, WEIGHED } from '$lib/server/visits/likelihoods';
import { changeLimits } from '$lib/server/shop';

export const load = async ({ url }) => {
	const asked = url.searchParams.get('complaint') as Complaint;
	return {
		complaint: COMPLAINTS.includes(asked) ? asked : COMPLAINTS[0],
		likelihoods: await withDatabase(likelihoods)
	};
};

export const actions = {
	/** Says how the shop weighs some causes; a field left empty is weighed as is usual. */
	default: async ({ request, locals }) => {
		const fields = Object.entries(await formTexts(request)).filter(([field]) =>
			field.startsWith(WEIGHED)
		);
		if (!locals.person) return fail(401, { message: tell(message('server.operator-required')) });
		const wrong = fields.filter(([field, text]) => !isWeight(field, text.trim()));
		if (wrong.length > 0)
			return fail(400, {
				message: tell(message('diagnosis.not-a-weight')),
				wrong: wrong.map(([field]) => field)
			});
		const { person } = locals;
		await withDatabase(async (db) => {
			const own = await ownWeights(db);
			const changes = fields.map(([field, text]) => ({
				field,
				from: own.get(field) ?? null,
				to: text.trim()
			}));
			await changeLimits(db, changes, person);
		});
		return { saved: fields.length };
	}
};
