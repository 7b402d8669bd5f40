import { json } from '@sveltejs/kit';
import { readiness } from '$lib/server/watch';

/** 200 while a reading can be taken, 503 while not; and how what that leans on stands. */
export async function GET() {
	const { ready, parts } = await readiness();
	return json(parts, { status: ready ? 200 : 503 });
}
