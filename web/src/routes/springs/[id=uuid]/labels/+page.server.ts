import QRCode from 'qrcode';
import { codeText } from '$lib/server/access/network';
import { withDatabase } from '$lib/server/with-database';
import { findSet, springsOf } from '$lib/server/springs/springs';
import { message } from '@zinc-ledger/core';
import { refuse } from '$lib/server/http/refuse';

/** A label for every spring, with a code of its record. */
export const load = async ({ params }) => {
	const set = await withDatabase((db) => findSet(db, params.id));
	if (!set) refuse(404, message('server.unknown', { what: 'set' }));
	const springs = await withDatabase((db) => springsOf(db, params.id, 0));
	const labels = await Promise.all(
		springs.map(async ({ tag }) => ({
			tag,
			code: await QRCode.toString(
				codeText(`/springs/${params.id}?tag=${tag}`, `${set.name} ${tag}`),
				{
					type: 'svg',
					margin: 0,
					errorCorrectionLevel: 'M'
				}
			)
		}))
	);
	return { set, labels };
};
