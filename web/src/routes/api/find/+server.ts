import { json } from '@sveltejs/kit';
import { withDatabase } from '$lib/server/with-database';
import { findAnything } from '$lib/server/find';

/** Longer than this nobody types to find something. */
const LONGEST = 100;

export async function GET({ url }) {
	const text = (url.searchParams.get('q') ?? '').replaceAll('\u0000', '').slice(0, LONGEST);
	return json(await withDatabase((db) => findAnything(db, text)));
}
