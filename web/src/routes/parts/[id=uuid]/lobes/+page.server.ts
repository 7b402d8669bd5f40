/** Lift tables of a cam. */
import { fail } from '@sveltejs/kit';
import { message, KINDS, type Kind, type LibraryPart } from '@zinc-ledger/core';
import { libraryPartOf } from '@zinc-ledger/core/parts';
import { tell } from '@zinc-ledger/words';
import { z } from 'zod';
import { withDatabase } from '$lib/server/with-database';
import { CHANGED_MEANWHILE, formTexts, revisionIn } from '$lib/server/http/body';
import { findPart, savePart } from '$lib/server/parts/parts';
import { refuse } from '$lib/server/http/refuse';

async function camOf(id: string) {
	const part = await withDatabase((db) => findPart(db, id));
	if (part?.type !== 'cam') refuse(404, message('server.unknown', { what: 'part' }));
	return part as LibraryPart<'cam'> & { revision: number };
}

export const load = async ({ params }) => {
	const { part, revision } = await camOf(params.id);
	return { cam: part, revision };
};

const Lines = z.array(z.strictObject({ degree: z.number(), lift: z.number().min(0) })).max(720);

/** The lines of a form; null where they are none. */
function linesIn(text: string | undefined): z.infer<typeof Lines> | null {
	try {
		return Lines.safeParse(JSON.parse(text ?? '')).data ?? null;
	} catch {
		return null;
	}
}

async function keep(
	{ request, params, locals }: { request: Request; params: { id: string }; locals: App.Locals },
	isTakenOff: boolean
) {
	const values = await formTexts(request);
	if (!locals.person) return fail(401, { message: tell(message('server.operator-required')) });
	const kind = values.kind as Kind;
	const lines = isTakenOff ? [] : linesIn(values.lines);
	if (!KINDS.includes(kind) || !lines)
		return fail(400, { message: tell(message('server.not-saved')) });
	const { part, ...about } = await camOf(params.id);
	const { table: _, ...lobe } = part[kind];
	const table = lines.map(({ degree, lift }) => ({ degree, lift: `${lift} mm` }));
	const checked = libraryPartOf('cam').safeParse({
		type: 'cam',
		part: { ...part, [kind]: { ...lobe, ...(table.length > 0 && { table }) } },
		stock: about.stock,
		retired: about.retired
	});
	if (!checked.success) return fail(400, { message: tell(message('server.not-saved')) });
	const kept = checked.data as LibraryPart;
	const { person } = locals;
	if (!(await withDatabase((db) => savePart(db, kept, revisionIn(values), person))))
		return fail(409, { message: CHANGED_MEANWHILE });
	return { message: null };
}

export const actions = {
	keep: (event) => keep(event, false),
	remove: (event) => keep(event, true)
};
