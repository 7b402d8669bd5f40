/** A backup before a newer program changes the shape of a shop's database. */
import { mkdir } from 'node:fs/promises';
import { join } from 'node:path';
import type { Database } from '../database/connection';
import { migrations, newestMigration } from '../database/migrate';
import { backUp } from './backup';

/**
 * Backs a database up that is about to be changed.
 *
 * @param folder of the shop's backups
 * @returns the file, or null where nothing is to be changed, or nothing is there yet
 */
export async function backUpBeforeMigrating(
	db: Database,
	url: string,
	folder: string
): Promise<string | null> {
	const newest = await newestMigration(db);
	if (newest === null || newest === migrations.at(-1)) return null;
	await mkdir(folder, { recursive: true, mode: 0o700 });
	const file = join(folder, `${new URL(url).pathname.slice(1)}-at-${newest}.backup`);
	await backUp(url, file);
	return file;
}
