/** The built application, served for one test file over a database of its own. */
import { spawn, type ChildProcess } from 'node:child_process';
import { randomInt } from 'node:crypto';
import { createServer } from 'node:net';
import { ask, copyOfTemplate } from './databases.ts';

const SERVER = 'web/server.js';
/**
 * How often, and how many times, something is asked for that is to come about.
 * Counted and not clocked: a machine that was halted meanwhile has lost nothing.
 */
const EACH = 50;
const MAX_TIMES = 1200;

export interface App {
	readonly url: string;
	/** How to reach the application's own database. */
	readonly database: string;
	/** The process that serves. */
	pid(): number;
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
	const database = await copyOfTemplate(name, mode, async (empty) => {
		const port = await freePort();
		const filling = await serve(port, { ZINC_MODE: mode, ZINC_DEMO: 'demo', DATABASE_URL: empty });
		return { stop: () => ended(filling) };
	});
	if (gauges) await ask(database, LINK_TO, [gauges.port]);
	const port = await freePort();
	const env = {
		ZINC_MODE: mode,
		ZINC_DEMO: 'demo',
		DATABASE_URL: database,
		BODY_SIZE_LIMIT: '16M',
		...more(port)
	};
	let server = await serve(port, env);
	return {
		url: urlAt(port),
		database,
		pid: () => server.pid!,
		stop: () => ended(server),
		start: async () => void (server = await serve(port, env))
	};
}

/** The demo's gauges are linked to the stand-ins of `./start`, whose first port is this. */
const FIRST_GAUGE = 4610;
const LINK_TO = `
	update gauge set doc = jsonb_set(doc, '{link,port}',
		to_jsonb((doc #>> '{link,port}')::int - ${FIRST_GAUGE} + $1::int))
	where doc ? 'link'`;

const urlAt = (port: number) => `http://127.0.0.1:${port}`;

async function serve(
	port: number,
	env: Readonly<Record<string, string>>,
	script = SERVER
): Promise<ChildProcess> {
	const server = spawn(process.execPath, [script], {
		env: { ...process.env, PORT: String(port), ...env },
		stdio: ['ignore', 'ignore', 'inherit']
	});
	await until(
		async () => (await fetch(`${urlAt(port)}/healthz`).catch(() => null))?.status === 200,
		'the application did not come up'
	);
	return server;
}

const ended = (server: ChildProcess) =>
	new Promise<void>((over) => {
		if (server.exitCode !== null || server.signalCode !== null) return over();
		server.once('exit', () => over());
		server.kill('SIGTERM');
	});

/** Serves over a database that is there already, by a script of one's own choice. */
export async function serverOf(how: {
	readonly database: string;
	readonly script?: string;
	readonly env?: Readonly<Record<string, string>>;
	/** Where it served before. */
	readonly port?: number;
}): Promise<{ readonly url: string; readonly process: ChildProcess }> {
	const port = how.port ?? (await freePort());
	const env = { ZINC_MODE: 'demo', DATABASE_URL: how.database, ...how.env };
	return { url: urlAt(port), process: await serve(port, env, how.script) };
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
	for (let times = 0; times < MAX_TIMES; times++) {
		if (await isSo()) return;
		await new Promise((later) => setTimeout(later, EACH));
	}
	throw new Error(typeof complaint === 'string' ? complaint : complaint());
}

/** Asks the application's database one thing. */
export const query = (app: App, text: string, values: unknown[] = []): Promise<unknown[]> =>
	ask(app.database, text, values);

/** Lanes take their ports from ranges of their own. */
const PORTS_OF_LANE = 2000;

/**
 * A free port for something that may stop and start again: below those that the
 * system gives to outgoing connections, any of which could take its place meanwhile.
 */
export async function freePort(): Promise<number> {
	const first = 20_000 + PORTS_OF_LANE * Number(process.env.ZINC_TEST_LANE ?? 0);
	for (;;) {
		const port = randomInt(first, first + PORTS_OF_LANE);
		if (await isFree(port)) return port;
	}
}
