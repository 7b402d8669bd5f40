import { fail } from '@sveltejs/kit';
import { z } from 'zod';
import { DUE_FROM, issue, message, SERVICE_UNITS, type SpringCard } from '@zinc-ledger/core';
import { tell } from '@zinc-ledger/words';
import { withDatabase } from '$lib/server/with-database';
import { limitsOf } from '$lib/server/reporting/of-service';
import { fieldProblems, formTexts, isId, trimmed } from '$lib/server/http/body';
import { findPart, listParts } from '$lib/server/parts/parts';
import { dueHeads, keepLimit, lossByBatch } from '$lib/server/visits/service';

export const load = async ({ url }) => {
	const asked = url.searchParams.get('card');
	return withDatabase(async (db) => {
		const cards = (await listParts(db, { type: 'spring' })).map(({ part }) => ({
			id: part.id,
			name: part.name,
			price: (part as SpringCard).price ?? null
		}));
		const card = cards.find(({ id }) => id === asked) ?? null;
		const limits = await limitsOf(
			db,
			cards.map(({ id }) => id)
		);
		return {
			due: await dueHeads(db, DUE_FROM),
			cards,
			card,
			limits: limits.map((limit) => ({
				...limit,
				name: cards.find(({ id }) => id === limit.part)!.name,
				price: cards.find(({ id }) => id === limit.part)!.price
			})),
			batches: card ? await lossByBatch(db, card.id) : []
		};
	});
};

const amount = z.coerce
	.number(issue('field.number', { example: '60' }))
	.positive(issue('field.not-positive'));
const Limit = z.object({
	part: z.uuid(issue('field.required')),
	duty: z.string().max(200),
	...Object.fromEntries(SERVICE_UNITS.map((unit) => [unit, amount.optional()])),
	overSpeed: z.coerce
		.number(issue('field.number', { example: '10' }))
		.min(0, issue('field.negative'))
		.max(100, issue('field.max', { max: 100 }))
		.optional()
});

export const actions = {
	/** Says what springs of a card may run, for one duty or for all. */
	default: async ({ request, locals }) => {
		const typed = trimmed(await formTexts(request));
		const refused = (status: number, problems: Record<string, string>) =>
			fail(status, { problems, values: typed });
		if (!locals.person) return refused(401, { part: tell(message('server.operator-required')) });
		const given = Object.entries(typed).filter(([name, text]) => text !== '' || name === 'duty');
		const read = Limit.safeParse({ duty: '', ...Object.fromEntries(given) });
		if (!read.success) return refused(400, fieldProblems(read.error));
		const { part, duty, overSpeed, ...limit } = read.data;
		if (!isId(part) || !(await withDatabase((db) => findPart(db, part))))
			return refused(400, { part: tell(message('server.unknown', { what: 'part' })) });
		const percent = overSpeed as number | undefined;
		const { person } = locals;
		await withDatabase((db) =>
			keepLimit(
				db,
				{
					part,
					duty: duty === '' ? null : duty,
					...limit,
					...(percent !== undefined && { overSpeed: percent / 100 })
				},
				person
			)
		);
		return { saved: true };
	}
};
