/** Keeping a part from its form, new or changed. */
import { fail, redirect } from '@sveltejs/kit';
import type { LibraryPart, PartType, Person, Units } from '@zinc-ledger/core';
import { libraryPartOf } from '@zinc-ledger/core/parts';
import { unflatten, type Values } from '$lib/forms/flat';
import { withDatabase } from '../with-database';
import { CHANGED_MEANWHILE, fieldProblems, formTexts, revisionIn } from '../http/body';
import { savePart } from './parts';
import { fieldsOf } from '$lib/parts/library/fields';
import { message } from '@zinc-ledger/core';
import { tell } from '@zinc-ledger/words';

interface Keeping {
	readonly request: Request;
	readonly person: Person | null;
	readonly units: Units;
	readonly type: PartType;
	readonly id: string;
	/** The part as it was, or the one it is a copy of. */
	readonly before: LibraryPart | null;
}

export async function keepPart({ request, person, units, type, id, before }: Keeping) {
	const values: Values = await formTexts(request);
	if (!person) {
		return fail(401, {
			message: tell(message('server.operator-required')),
			problems: {},
			values
		});
	}
	const typed = { ...unflatten(values, fieldsOf(type), before?.part, units), id };
	const checked = libraryPartOf(type).safeParse({
		type,
		part: typed,
		stock: before?.part.id === id ? before.stock : null,
		retired: before?.part.id === id ? before.retired : false
	});
	if (!checked.success) {
		const problems = fieldProblems(checked.error, 1);
		return fail(400, { message: tell(message('server.not-saved')), problems, values });
	}
	const revision = before?.part.id === id ? revisionIn(values) : null;
	const part = checked.data as LibraryPart;
	if (!(await withDatabase((db) => savePart(db, part, revision, person))))
		return fail(409, { message: CHANGED_MEANWHILE, problems: {}, values });
	redirect(303, `/parts?type=${encodeURIComponent(type)}`);
}
