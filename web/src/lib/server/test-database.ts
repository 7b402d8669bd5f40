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
			await ask(admin, `drop database ${database} with (force)`);
		}
	};
}

async function ask(url: string, text: string): Promise<void> {
	const client = new pg.Client(url);
	await client.connect();
	try {
		await client.query(text);
	} finally {
		await client.end();
	}
}
