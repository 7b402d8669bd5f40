import { fail, redirect } from '@sveltejs/kit';
import { KINDS, KIT_PLACES, message, messageOf, TYPE_OF } from '@zinc-ledger/core';
import { Kit } from '@zinc-ledger/core/kit-schema';
import { tell } from '@zinc-ledger/words';
import { textsOfKit } from '$lib/parts/kits/csv';
import { kitTexts } from '$lib/parts/kits/paper';
import { withDatabase } from '$lib/server/with-database';
import { formTexts, isId, revisionIn } from '$lib/server/http/body';
import { findKept, saveKept } from '$lib/server/kept';
import { partsOfKits } from '$lib/server/parts/kits';
import { listParts } from '$lib/server/parts/parts';
import { photosOfKit } from '$lib/server/jobs/photos';
import { refuse } from '$lib/server/http/refuse';

async function known(id: string) {
	const kept = await withDatabase((db) => findKept(db, 'kit', id));
	if (!kept) refuse(404, message('server.unknown', { what: 'kit' }));
	return kept;
}

export const load = async ({ params }) => {
	const { doc: kit, revision } = await known(params.id);
	return withDatabase(async (db) => ({
		kit,
		parts: Object.fromEntries(await partsOfKits(db, [kit])),
		library: (await listParts(db)).filter(({ retired }) => !retired),
		photos: await photosOfKit(db, kit.id),
		values: { ...textsOfKit(kit), revision: String(revision) }
	}));
};

export const actions = {
	default: async ({ request, params, locals }) => {
		const values = await formTexts(request);
		const { person } = locals;
		const refused = (status: number, text: string, problems: Record<string, string> = {}) =>
			fail(status, { message: text, problems, values });
		if (!person) return refused(401, tell(message('server.operator-required')));
		const { doc: before } = await known(params.id);
		const kinds = Object.fromEntries(
			KINDS.map((kind) => [
				kind,
				Object.fromEntries(
					KIT_PLACES.flatMap((place) => {
						const id = values[`${kind}.${place}`] ?? before.kinds[kind][place] ?? '';
						return isId(id) ? [[place, id]] : [];
					})
				)
			])
		);
		const read = Kit.safeParse({ ...kitTexts(values), id: params.id, kinds });
		if (!read.success) {
			const problems = read.error.issues.map((issue) => [
				issue.path.join('.'),
				tell(messageOf(issue))
			]);
			return refused(
				400,
				tell(message('server.not-saved')),
				Object.fromEntries(problems) as Record<string, string>
			);
		}
		const there = await withDatabase((db) => partsOfKits(db, [read.data]));
		for (const kind of KINDS)
			for (const place of KIT_PLACES) {
				const id = read.data.kinds[kind][place];
				if (id !== undefined && there.get(id)?.type !== TYPE_OF[place])
					return refused(400, tell(message('server.unknown', { what: 'part' })));
			}
		const isKept = await withDatabase((db) =>
			saveKept(db, 'kit', read.data, revisionIn(values), person)
		);
		if (!isKept) return refused(409, tell(message('server.changed-meanwhile')));
		redirect(303, `/kits/${params.id}`);
	}
};
