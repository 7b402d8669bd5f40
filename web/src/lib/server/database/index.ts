import { backUpBeforeMigrating } from '../backup/before-migrating';
import { backupFolder } from '../backup/folder';
import { loadDemo } from '../demo';
import { connect, type Database } from './connection';
import { migrate } from './migrate';

/**
 * The database of this process. It is connected to at the first question and
 * made ready once: migrated, marked as a demo's or a shop's own, and filled
 * with the demo jobs when it is a demo's. While it is away every question
 * fails and the next one tries again.
 */
let connection: Database | undefined;
let ready: Promise<Database> | undefined;

export function database(): Promise<Database> {
	ready ??= makeReady().catch((error: unknown) => {
		ready = undefined;
		throw error;
	});
	return ready;
}

export async function closeDatabase(): Promise<void> {
	await connection?.destroy();
	connection = undefined;
	ready = undefined;
}

async function makeReady(): Promise<Database> {
	const url = process.env.DATABASE_URL;
	if (!url) throw new Error('DATABASE_URL is not set: start with ./start');
	connection ??= connect(url);
	const mode = process.env.ZINC_MODE === 'demo' ? 'demo' : 'own';
	const backups = backupFolder();
	// Without it a database is not changed: what cannot be undone has a copy first.
	if (backups !== null) await backUpBeforeMigrating(connection, url, backups);
	await migrate(connection);
	await claim(connection, mode);
	if (mode === 'demo') await loadDemo(connection, process.env.ZINC_DEMO ?? 'demo');
	return connection;
}

/** Marks a new database as a demo's or a shop's own; the two never mix. */
async function claim(db: Database, mode: 'demo' | 'own'): Promise<void> {
	await db
		.insertInto('shop')
		.values({ mode })
		.onConflict((conflict) => conflict.doNothing())
		.execute();
	const shop = await db.selectFrom('shop').select('mode').executeTakeFirstOrThrow();
	if (shop.mode !== mode) {
		throw new Error(
			shop.mode === 'own'
				? 'This database holds a shop’s own records: start with ./start --own'
				: 'This database holds the demo: start with ./start, or give another DATABASE_URL'
		);
	}
}
