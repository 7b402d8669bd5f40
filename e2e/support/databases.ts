/** Databases for browser tests: each file has a copy of one that was loaded once. */
import pg from 'pg';

/** How a database that nobody writes to any more is told: its transaction counter rests. */
const COUNTER = 'select pg_snapshot_xmax(pg_current_snapshot())::text as at';
/** For so many milliseconds in a row. */
const RESTS = 1000;

/** The cluster of this lane, as the role that owns the test databases. */
function admin(): string {
	const url = process.env.ZINC_TEST_DATABASE;
	if (!url) throw new Error('ZINC_TEST_DATABASE is not set: run ./test');
	return url;
}

export function urlOf(name: string): string {
	const url = new URL(admin());
	url.pathname = name;
	return url.href;
}

/** Asks a database one thing. */
export async function ask<Row>(
	url: string,
	text: string,
	values: readonly unknown[] = []
): Promise<Row[]> {
	const client = new pg.Client(url);
	await client.connect();
	try {
		return (await client.query(text, [...values])).rows as Row[];
	} finally {
		await client.end();
	}
}

/**
 * Makes a database as the application of this mode makes it: a copy of the cluster's
 * template, which the first file of a lane has filled.
 *
 * @param fill serves the application over an empty database until it answers, then stops it
 */
export async function copyOfTemplate(
	name: string,
	mode: 'demo' | 'own',
	fill: (database: string) => Promise<{ stop(): Promise<void> }>
): Promise<string> {
	const template = `zinc_template_${mode}`;
	const found = await ask(admin(), 'select from pg_database where datname = $1', [template]);
	if (found.length === 0) await makeTemplate(template, fill);
	await ask(admin(), `create database ${name} template ${template}`);
	return urlOf(name);
}

/** Destroys a database, and makes an empty one of its name. */
export async function emptied(url: string): Promise<void> {
	const name = new URL(url).pathname.slice(1);
	await ask(admin(), `drop database ${name} with (force)`);
	await ask(admin(), `create database ${name}`);
}

async function makeTemplate(
	template: string,
	fill: (database: string) => Promise<{ stop(): Promise<void> }>
): Promise<void> {
	const draft = `${template}_draft`;
	await ask(admin(), `drop database if exists ${draft} with (force)`);
	await ask(admin(), `create database ${draft}`);
	const app = await fill(urlOf(draft));
	await untilRests(urlOf(draft));
	await app.stop();
	// A template that somebody is connected to cannot be copied.
	await ask(admin(), `alter database ${draft} with is_template true allow_connections false`);
	await ask(admin(), `alter database ${draft} rename to ${template}`);
}

/** What the application derives after it answers is made by then. */
async function untilRests(url: string): Promise<void> {
	const client = new pg.Client(url);
	await client.connect();
	const counter = async () => (await client.query<{ at: string }>(COUNTER)).rows[0]!.at;
	for (let before = ''; ;) {
		const now = await counter();
		if (now === before) break;
		before = now;
		await new Promise((later) => setTimeout(later, RESTS));
	}
	await client.end();
}
