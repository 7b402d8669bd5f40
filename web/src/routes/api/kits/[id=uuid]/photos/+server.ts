import { message } from '@zinc-ledger/core';
import { withDatabase } from '$lib/server/with-database';
import { findKept } from '$lib/server/kept';
import { keepPhoto } from '$lib/server/jobs/photos';
import { photoSent } from '$lib/server/jobs/photo-sent';
import { refuse } from '$lib/server/http/refuse';

/** Takes a photo of a kit's paper: the bytes as the body. */
export async function POST({ params, locals }) {
	const { person } = locals;
	if (!person) refuse(401, message('server.operator-required'));
	if (!(await withDatabase((db) => findKept(db, 'kit', params.id))))
		refuse(404, message('server.unknown', { what: 'kit' }));
	return photoSent(locals.sent, (made) =>
		withDatabase((db) => keepPhoto(db, { kit: params.id }, made, person))
	);
}
