/** The built application, served for one test file over a database of its own. */
import { spawn, type ChildProcess } from 'node:child_process';
import { randomInt } from 'node:crypto';
import { createServer } from 'node:net';
import pg from 'pg';

const SERVER = 'web/server.js';
/**
 * How often, and how many times, something is asked for that is to come about.
 * Counted and not clocked: a machine that was halted meanwhile has lost nothing.
 */
const EACH = 50;
const MOST_TIMES = 1200;

export interface App {
	readonly url: string;
	/** How to reach the application's own database. */
	readonly database: string;
	stop(): Promise<void>;
	/** Serves again where it did, after a stop. */
	start(): Promise<void>;
}

/** Serves the demo, or a shop's own empty book. */
export async function startApp(
	mode: 'demo' | 'own',
	gauges?: Gauges,
	/** More of its environment, where its port is known. */
	more: (port: number) => Readonly<Record<string, string>> = () => ({})
): Promise<App> {
	const name = `zinc_e2e_${process.pid}_${Date.now()}`;
	const database = await makeDatabase(name);
	const port = await freePort();
	const url = `http://127.0.0.1:${port}`;
	const serve = async () => {
		const server = spawn(process.execPath, [SERVER], {
			env: {
				...process.env,
				PORT: String(port),
				ZINC_MODE: mode,
				ZINC_DEMO: 'demo',
				DATABASE_URL: database,
				BODY_SIZE_LIMIT: '16M',
				...(gauges && { ZINC_GAUGES: String(gauges.port) }),
				...more(port)
			},
			stdio: ['ignore', 'ignore', 'inherit']
		});
		await until(
			async () => (await fetch(`${url}/healthz`).catch(() => null))?.status === 200,
			'the application did not come up'
		);
		return server;
	};
	let server = await serve();
	return {
		url,
		database,
		stop: () =>
			new Promise((ended) => {
				if (server.exitCode !== null) return ended();
				server.once('exit', () => ended());
				server.kill('SIGTERM');
			}),
		start: async () => void (server = await serve())
	};
}

/** Serves over a database that is there already, by a script of one's own choice. */
export async function serverOf(how: {
	readonly database: string;
	readonly script?: string;
	readonly env?: Readonly<Record<string, string>>;
	/** Where it served before. */
	readonly port?: number;
}): Promise<{ readonly url: string; readonly process: ChildProcess }> {
	const port = how.port ?? (await freePort());
	const url = `http://127.0.0.1:${port}`;
	const own = spawn(process.execPath, [how.script ?? SERVER], {
		env: {
			...process.env,
			PORT: String(port),
			ZINC_MODE: 'demo',
			DATABASE_URL: how.database,
			...how.env
		},
		stdio: ['ignore', 'ignore', 'inherit']
	});
	await until(
		async () => (await fetch(`${url}/healthz`).catch(() => null))?.status === 200,
		'the application did not come up'
	);
	return { url, process: own };
}

/** The stand-in gauges, on ports of their own. */
export interface Gauges {
	/** First of their four ports. */
	readonly port: number;
	/** Does what a button of their control page does. */
	act(path: string, value?: string): Promise<void>;
	stop(): void;
}

export async function startGauges(): Promise<Gauges> {
	const port = await freeRow();
	const program = spawn(process.execPath, ['--import', 'tsx', 'gauges/src/main.ts'], {
		env: { ...process.env, ZINC_GAUGES: String(port) },
		stdio: ['ignore', 'ignore', 'inherit']
	});
	const control = `http://127.0.0.1:${port + 3}`;
	await until(
		async () => (await fetch(`${control}/state`).catch(() => null))?.status === 200,
		'the stand-in gauges did not come up'
	);
	return {
		port,
		act: async (path, value = '') => {
			const to = `${control}/${path}?value=${encodeURIComponent(value)}`;
			const { ok } = await fetch(to, { method: 'POST' });
			if (!ok) throw new Error(`the stand-ins would not ${path} ${value}`);
		},
		stop: () => void program.kill('SIGTERM')
	};
}

/** The first of four free ports in a row. */
async function freeRow(): Promise<number> {
	for (;;) {
		const first = await freePort();
		const others = [1, 2, 3].map((by) => isFree(first + by));
		if ((await Promise.all(others)).every(Boolean)) return first;
	}
}

const isFree = (port: number) =>
	new Promise<boolean>((found) => {
		const server = createServer();
		server.once('error', () => found(false));
		server.listen(port, '127.0.0.1', () => server.close(() => found(true)));
	});

/** Asks again until it is so; throws with the complaint when it takes too long. */
export async function until(
	isSo: () => Promise<boolean>,
	complaint: string | (() => string) = 'it did not come about in time'
): Promise<void> {
	for (let times = 0; times < MOST_TIMES; times++) {
		if (await isSo()) return;
		await new Promise((later) => setTimeout(later, EACH));
	}
	throw new Error(typeof complaint === 'string' ? complaint : complaint());
}

/** Asks the application's database one thing. */
export async function query(app: App, text: string, values: unknown[] = []): Promise<unknown[]> {
	const client = new pg.Client(app.database);
	await client.connect();
	try {
		return (await client.query(text, values)).rows as unknown[];
	} finally {
		await client.end();
	}
}

async function makeDatabase(name: string): Promise<string> {
	const admin = process.env.ZINC_TEST_DATABASE;
	if (!admin) throw new Error('ZINC_TEST_DATABASE is not set: run ./test');
	const client = new pg.Client(admin);
	await client.connect();
	await client.query(`create database ${name}`);
	await client.end();
	const url = new URL(admin);
	url.pathname = name;
	return url.href;
}

/**
 * A free port for something that may stop and start again: below those that the
 * system gives to outgoing connections, any of which could take its place meanwhile.
 */
export async function freePort(): Promise<number> {
	for (;;) {
		const port = randomInt(20_000, 24_000);
		if (await isFree(port)) return port;
	}
}
