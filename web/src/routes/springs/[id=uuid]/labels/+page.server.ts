import QRCode from 'qrcode';
import { error } from '@sveltejs/kit';
import { ask } from '$lib/server/ask';
import { findSet, springsOf } from '$lib/server/springs';

/** A label for every spring, with a code that opens its record. */
export const load = async ({ params, url }) => {
	const set = await ask((db) => findSet(db, params.id));
	if (!set) error(404, 'There is no such set.');
	const springs = await ask((db) => springsOf(db, params.id, 0));
	const labels = await Promise.all(
		springs.map(async ({ tag }) => ({
			tag,
			code: await QRCode.toString(`${url.origin}/springs/${params.id}?tag=${tag}`, {
				type: 'svg',
				margin: 0,
				errorCorrectionLevel: 'M'
			})
		}))
	);
	return { set, labels };
};
