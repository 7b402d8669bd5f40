import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { readJob } from '@zinc-ledger/core/file';
import { readParts } from '@zinc-ledger/core/parts';
import { log } from '../log';
import { importJob } from '../jobs';
import { keepParts } from '../parts';
import { connect, type Database } from './connection';
import { migrate } from './migrate';

const json = (value: unknown) => JSON.stringify(value);

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
	await migrate(connection);
	const mode = process.env.ZINC_MODE === 'demo' ? 'demo' : 'own';
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

async function loadDemo(db: Database, folder: string): Promise<void> {
	const some = await db.selectFrom('job').select('id').limit(1).executeTakeFirst();
	if (some) return;
	const library = readParts(await readFile(join(folder, 'parts.json'), 'utf8'));
	if (!library.ok) throw new Error(`parts.json: ${json(library.problems[0])}`);
	await keepParts(db, library.value);
	const jobs = join(folder, 'jobs');
	for (const file of (await readdir(jobs)).filter((name) => name.endsWith('.json')).sort()) {
		const read = readJob(await readFile(join(jobs, file), 'utf8'));
		if (!read.ok) throw new Error(`${file}: ${json(read.problems[0])}`);
		const result = await importJob(db, read.value);
		log.info({ file, problems: result.problems }, 'demo job loaded');
	}
}
