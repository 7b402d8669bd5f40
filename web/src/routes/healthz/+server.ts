import { sql } from 'kysely';
import { text } from '@sveltejs/kit';
import { database } from '$lib/server/database';

/** 200 when page and database are well, 503 when not. */
export async function GET() {
	try {
		await sql`select 1`.execute(await database());
		return text('well\n');
	} catch (error) {
		return text(`not well: ${(error as Error).message}\n`, { status: 503 });
	}
}
