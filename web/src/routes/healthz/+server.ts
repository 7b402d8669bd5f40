import { sql } from 'kysely';
import { text } from '@sveltejs/kit';
import { database } from '$lib/server/database';
import { hasRoom } from '$lib/server/room';

/** 200 when page, database and disk are well, 503 when not. */
export async function GET() {
	try {
		await sql`select 1`.execute(await database());
		if (!(await hasRoom())) return text('not well: no room on the disk\n', { status: 503 });
		return text('well\n');
	} catch (error) {
		return text(`not well: ${(error as Error).message}\n`, { status: 503 });
	}
}
