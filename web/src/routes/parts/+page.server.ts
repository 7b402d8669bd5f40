import { fail } from '@sveltejs/kit';
import { PART_TYPES, type PartType } from '@zinc-ledger/core';
import { withDatabase } from '$lib/server/with-database';
import { formTexts, isId } from '$lib/server/http/body';
import { inTransaction } from '$lib/server/database/transaction';
import {
	importParts,
	listParts,
	pageOfParts,
	retirePart,
	revisionsOf
} from '$lib/server/parts/parts';
import { countInOrOut, Short } from '$lib/server/parts/stock';
import { work } from '$lib/server/work/pool';
import { message, type Message } from '@zinc-ledger/core';
import { tell } from '@zinc-ledger/words';

export const load = async ({ url }) => {
	const wanted = url.searchParams.get('type') as PartType;
	const type = PART_TYPES.includes(wanted) ? wanted : 'spring';
	const find = url.searchParams.get('find') ?? '';
	const typed = url.searchParams.get('page') ?? '';
	const page = /^\d{1,4}$/.test(typed) ? Number(typed) : 0;
	return {
		type,
		find,
		page,
		...(await withDatabase((db) => pageOfParts(db, { type, find }, page)))
	};
};

export const actions = {
	import: async ({ locals }) => {
		if (!locals.person)
			return fail(401, { problems: [{ path: '', text: message('server.operator-required') }] });
		const { person, units } = locals;
		const library = await withDatabase((db) => listParts(db));
		const revisions = await withDatabase(revisionsOf);
		const { sent } = locals;
		const file = await work('partsFile', { sent, units, library, revisions });
		if (!file)
			return fail(400, {
				problems: [{ path: 'file', text: message('import.choose-file', { what: 'parts' }) }]
			});
		const { name, read } = file;
		if (!read.ok) return fail(400, { file: name, problems: [...read.problems] });
		await withDatabase((db) => importParts(db, read.parts, person));
		return { taken: read.parts.length, older: [...read.older] };
	},
	stock: async ({ request, locals }) => {
		if (!locals.person)
			return fail(401, { problems: [{ path: '', text: message('server.operator-required') }] });
		const { person } = locals;
		const { id = '', change: typed, reason: why = '' } = await formTexts(request);
		const change = Number(typed);
		const reason = why.trim().slice(0, 200);
		const refused = (says: Message, status = 400) =>
			fail(status, { stockOf: id, stockProblem: tell(says) });
		if (!isId(id)) return refused(message('stock.which-part'));
		if (!Number.isInteger(change) || change === 0) return refused(message('stock.change'));
		if (Math.abs(change) > 10_000) return refused(message('stock.change-max', { max: 10_000 }));
		if (reason === '') return refused(message('entry.reason-missing'));
		const moved = await withDatabase((db) =>
			inTransaction(db, (trx) => countInOrOut(trx, id, change, reason, person)).catch(shortOrFail)
		);
		if (moved instanceof Short) return refused(moved.says, 409);
		return { moved };
	},
	retire: async ({ request, locals }) => {
		if (!locals.person)
			return fail(401, { problems: [{ path: '', text: message('server.operator-required') }] });
		const { person } = locals;
		const { id, retired } = await formTexts(request);
		if (!isId(id))
			return fail(400, { problems: [{ path: 'id', text: message('stock.which-part') }] });
		await withDatabase((db) => retirePart(db, id, retired === 'yes', person));
		return {};
	}
};

function shortOrFail(failure: unknown): Short {
	if (failure instanceof Short) return failure;
	throw failure;
}
