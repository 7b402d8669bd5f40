import { error } from '@sveltejs/kit';
import { ask } from '$lib/server/ask';
import { photoContent } from '$lib/server/photos';

/** A photo as it is kept; `?small` for its thumbnail. It never changes. */
export async function GET({ params, url }) {
	const size = url.searchParams.has('small') ? 'thumbnail' : 'content';
	const bytes = await ask((db) => photoContent(db, params.id, size));
	if (!bytes) error(404, 'There is no such photo.');
	return new Response(new Uint8Array(bytes), {
		headers: {
			'content-type': 'image/webp',
			'cache-control': 'private, max-age=31536000, immutable'
		}
	});
}
