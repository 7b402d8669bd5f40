/** The form that a set of springs is made and edited by. */
import { z } from 'zod';
import {
	cardLift,
	issue,
	message,
	readEntry,
	SPRING_BUILDS,
	type LibraryPart,
	type Units
} from '@zinc-ledger/core';
import { PositiveSize } from '@zinc-ledger/core/units-schema';
import { tell } from '@zinc-ledger/words';
import { shortDate } from '$lib/ui/words';
import { withDatabase } from '../with-database';
import { fieldProblems, isId } from '../http/body';
import { jobNumbered } from '../jobs/find';
import { findPart } from '../parts/parts';
import type { SetFields } from './springs';

const Entered = z.object({
	name: z
		.string()
		.trim()
		.min(1, issue('set.name-missing'))
		.max(80, issue('field.max', { max: 80, unit: 'characters' })),
	build: z.enum(SPRING_BUILDS).nullable(),
	seat: PositiveSize,
	lift: PositiveSize
});

export type SetFormRead =
	| { readonly ok: true; readonly set: SetFields }
	| { readonly ok: false; readonly problems: Record<string, string> };

/**
 * Reads the form. What stays empty is its card's: the height, the lift, and the name with the day.
 *
 * @param typed texts without blanks at their ends
 */
export async function readSetForm(
	typed: Record<string, string>,
	units: Units
): Promise<SetFormRead> {
	const part = isId(typed.card) ? await withDatabase((db) => findPart(db, typed.card!)) : null;
	const card = part?.type === 'spring' ? (part as LibraryPart<'spring'>).part : null;
	const length = (text: string | undefined, ofCard: string) => {
		const entry = readEntry(text || ofCard, units.length);
		return entry.ok ? entry.text : (text ?? '');
	};
	const read = Entered.safeParse({
		name: typed.name || (card ? `${card.name}, ${shortDate(new Date().toISOString())}` : ''),
		build: typed.build || null,
		seat: length(typed.seat, card?.seat.height ?? ''),
		lift: length(typed.lift, card ? cardLift(card) : '')
	});
	const jobId = typed.job ? await withDatabase((db) => jobNumbered(db, typed.job!)) : null;
	const problems = {
		...(!read.success && fieldProblems(read.error)),
		...(typed.job &&
			!jobId && { job: tell(message('server.no-job-number', { number: typed.job })) })
	};
	return read.success && Object.keys(problems).length === 0
		? { ok: true, set: { ...read.data, cardId: card?.id ?? null, jobId } }
		: { ok: false, problems };
}
