import { withDatabase } from '$lib/server/with-database';
import { photoContent } from '$lib/server/jobs/photos';
import { message } from '@zinc-ledger/core';
import { refuse } from '$lib/server/http/refuse';

/** A photo as it is kept; `?small` for its thumbnail. It never changes. */
export async function GET({ params, url }) {
	const size = url.searchParams.has('small') ? 'thumbnail' : 'content';
	const bytes = await withDatabase((db) => photoContent(db, params.id, size));
	if (!bytes) refuse(404, message('server.unknown', { what: 'photo' }));
	return new Response(new Uint8Array(bytes), {
		headers: {
			'content-type': 'image/webp',
			'cache-control': 'private, max-age=31536000, immutable'
		}
	});
}
