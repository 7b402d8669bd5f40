import type { Kysely } from 'kysely';

/** How the springs of a set without a card are wound. */
export async function up(db: Kysely<unknown>): Promise<void> {
	await db.schema.alterTable('spring_set').addColumn('build', 'text').execute();
}
