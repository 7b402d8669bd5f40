import { fail, redirect } from '@sveltejs/kit';
import { z } from 'zod';
import { cardLift, readEntry, type LibraryPart } from '@zinc-ledger/core';
import { PositiveSize } from '@zinc-ledger/core/units-schema';
import { ask } from '$lib/server/ask';
import { fieldProblems, formTexts, isId, trimmed } from '$lib/server/body';
import { jobNumbered } from '$lib/server/jobs/find';
import { findPart, listParts } from '$lib/server/parts';
import { addSet, listSets } from '$lib/server/springs';
import { issue, message } from '@zinc-ledger/core';
import { tell } from '@zinc-ledger/words';

export const load = async ({ url }) => {
	const typed = url.searchParams.get('page') ?? '';
	const page = /^\d{1,5}$/.test(typed) ? Number(typed) : 0;
	const { found, cards } = await ask(async (db) => ({
		found: await listSets(db, page),
		cards: await listParts(db, { sort: 'spring' })
	}));
	return { ...found, page, cards };
};

const NewSet = z.object({
	name: z
		.string()
		.trim()
		.min(1, issue('set.name-missing'))
		.max(80, issue('field.max', { max: 80, unit: 'characters' })),
	count: z.coerce
		.number(issue('set.count-missing'))
		.int(issue('field.whole-number'))
		.min(1, issue('field.min', { min: 1 }))
		.max(96, issue('field.max', { max: 96 })),
	seat: PositiveSize,
	lift: PositiveSize
});

export const actions = {
	default: async ({ request, locals }) => {
		const { person, units } = locals;
		const typed = trimmed(await formTexts(request));
		const refused = (status: number, problems: Record<string, string>) =>
			fail(status, { problems, typed });
		if (!person) return refused(401, { name: tell(message('server.operator-required')) });
		const card = isId(typed.card) ? await ask((db) => findPart(db, typed.card!)) : null;
		const spring = card?.sort === 'spring' ? (card as LibraryPart<'spring'>).part : null;
		const length = (text: string | undefined, fallback: string) => {
			const entry = readEntry(text || fallback, units.length);
			return entry.ok ? entry.text : (text ?? '');
		};
		const checked = NewSet.safeParse({
			...typed,
			seat: length(typed.seat, spring?.seat.height ?? ''),
			lift: length(typed.lift, spring ? cardLift(spring) : '')
		});
		if (!checked.success) {
			return refused(400, fieldProblems(checked.error));
		}
		const { name, count, seat, lift } = checked.data;
		const jobId = typed.job ? await ask((db) => jobNumbered(db, typed.job!)) : null;
		if (typed.job && !jobId) {
			const number = typed.job;
			return refused(400, { job: tell(message('server.no-job-number', { number })) });
		}
		const id = await ask((db) =>
			addSet(db, { name, cardId: spring?.id ?? null, jobId, seat, lift }, count, person)
		);
		redirect(303, `/springs/${id}`);
	}
};
