/** A database of its own for one test file, on the server that ./test started. */
import pg from 'pg';
import { connect, type Database } from './database/connection';
import { migrate } from './database/migrate';

export interface TestDatabase {
	readonly db: Database;
	readonly url: string;
	drop(): Promise<void>;
}

/** @param migrated false for a database with nothing in it */
export async function testDatabase(name: string, migrated = true): Promise<TestDatabase> {
	const admin = process.env.ZINC_TEST_DATABASE;
	if (!admin) throw new Error('ZINC_TEST_DATABASE is not set: run ./test');
	const database = `zinc_db_${name}_${process.pid}`;
	await ask(admin, `drop database if exists ${database} with (force)`);
	await ask(admin, `create database ${database}`);
	const url = new URL(admin);
	url.pathname = database;
	const db = connect(url.href);
	if (migrated) await migrate(db);
	return {
		db,
		url: url.href,
		drop: async () => {
			await db.destroy();
			await dropped(admin, database);
		}
	};
}

/** The database's own housekeeping may be at work in it, which only it may end: a moment later it is not. */
async function dropped(admin: string, database: string): Promise<void> {
	for (let tries = 1; ; tries++) {
		try {
			return await ask(admin, `drop database ${database} with (force)`);
		} catch (error) {
			if (tries === MAX_TRIES) throw error;
			await new Promise((later) => setTimeout(later, PAUSE));
		}
	}
}
const MAX_TRIES = 20;
const PAUSE = 500;

async function ask(url: string, text: string): Promise<void> {
	const client = new pg.Client(url);
	await client.connect();
	try {
		await client.query(text);
	} finally {
		await client.end();
	}
}
