/** What keeps going: ten windows on one line, a server that ended or hangs, a disk without room. */
import { spawn, type ChildProcess } from 'node:child_process';
import {
	copyFileSync,
	mkdirSync,
	mkdtempSync,
	readdirSync,
	readFileSync,
	rmSync,
	symlinkSync
} from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join, resolve } from 'node:path';
import { afterAll, beforeAll, describe, expect, it, onTestFinished } from 'vitest';
import { freePort, query, serverOf, until } from './support/app.ts';
import { Key } from './support/browser.ts';
import { visit } from './support/visit.ts';
import { outbox } from './support/pages/outbox.ts';

const at = visit('demo');
let path = '';
beforeAll(async () => {
	await at.browser.workAs('Kelso Lind');
	path = await at.browser.openJob('2417');
});

const job = JSON.parse(readFileSync('demo/jobs/2417-straight-six.json', 'utf8')) as {
	readings: Record<string, unknown>[];
};
let count = 0;
/** Somebody else reads a height. */
async function read(figure: string): Promise<void> {
	const { ok } = await fetch(`${at.app.url}/api${path}/readings`, {
		method: 'POST',
		headers: { 'content-type': 'application/json' },
		body: JSON.stringify({
			...job.readings[0],
			station: '6E',
			read: `${figure} in`,
			at: new Date().toISOString(),
			id: `0197e000-0000-7000-8000-${String(++count).padStart(12, '0')}`
		})
	});
	expect(ok).toBe(true);
}

describe('ten windows of one browser', () => {
	it('all answer, and all hear what another bench reads, before and after the server was away', async () => {
		const { browser, app } = at;
		const { driver } = browser;
		const first = await driver.getWindowHandle();
		await browser.go(path);
		for (let i = 1; i < 10; i++) {
			await driver.switchTo().newWindow('window');
			await browser.go(path);
		}
		const windows = await driver.getAllWindowHandles();
		expect(windows).toHaveLength(10);
		const allSee = async (figure: string) => {
			for (const window of windows) {
				await driver.switchTo().window(window);
				await browser.sees(figure);
				expect((await browser.api('GET', '/healthz')).status).toBe(200);
			}
		};
		await read('1.777');
		await allSee('1.777');
		await app.stop();
		await app.start();
		await read('1.811');
		await allSee('1.811');
		for (const window of windows.filter((one) => one !== first)) {
			await driver.switchTo().window(window);
			await driver.close();
		}
		await driver.switchTo().window(first);
	});
});

describe('a disk without room', () => {
	it('a figure waits in the browser and is stored once there is room again', async () => {
		const { app, browser } = at;
		await query(
			app,
			`create function no_room() returns trigger language plpgsql as $$
			begin raise exception 'could not extend file: No space left on device' using errcode = '53100'; end $$`
		);
		await query(app, 'create trigger no_room before insert on reading execute function no_room()');
		browser.expects(/status of 507/);
		await browser.beginRound(path);
		await browser.press('1821', Key.ENTER);
		await browser.sees('There is no room left on the server’s disk.');
		await outbox(browser).one();
		expect((await fetch(`${app.url}/healthz`)).status).toBe(503);
		const before = await query(app, 'select 1 from reading');
		await query(app, 'drop trigger no_room on reading');
		await until(
			async () => (await query(app, 'select 1 from reading')).length === before.length + 1
		);
	});
	it('a log that cannot be written does not end the server', async () => {
		const own = await serverOf({ database: at.app.database, env: { ZINC_LOG: '/dev/full' } });
		try {
			for (let i = 0; i < 5; i++)
				expect((await fetch(`${own.url}/jobs/not-an-id`)).status).toBe(404);
			expect(own.process.exitCode).toBeNull();
		} finally {
			own.process.kill('SIGTERM');
		}
	});
});

describe('the supervisor of the server', () => {
	let supervisor: Awaited<ReturnType<typeof serverOf>>;
	beforeAll(async () => {
		supervisor = await serverOf({
			database: at.app.database,
			script: 'web/supervisor.js',
			env: { ZINC_SUPERVISOR_EACH: '200' }
		});
	});
	afterAll(() => supervisor.process.kill('SIGTERM'));
	const child = (): number =>
		Number(
			readFileSync(
				`/proc/${supervisor.process.pid}/task/${supervisor.process.pid}/children`,
				'utf8'
			).trim()
		);
	const serves = async () =>
		(await fetch(`${supervisor.url}/healthz`).catch(() => null))?.status === 200;

	it('starts one that ended again', async () => {
		const before = child();
		process.kill(before, 'SIGKILL');
		await until(async () => (await serves()) && child() !== before);
	});
	it('ends one that hangs, and starts another', async () => {
		const before = child();
		process.kill(before, 'SIGSTOP');
		await until(async () => child() !== before && (await serves()));
	});
	it('ends with it', async () => {
		const before = child();
		const ended = new Promise((over) => supervisor.process.once('exit', over));
		supervisor.process.kill('SIGTERM');
		await ended;
		expect(() => process.kill(before, 0)).toThrow();
	});
});

describe('a server that cannot be kept up', () => {
	it('is given up after five deaths within a minute, with its last error', async () => {
		// The program refuses to listen beyond loopback, and ends at once.
		const supervisor = spawn(process.execPath, ['web/supervisor.js'], {
			env: { ...process.env, HOST: '192.0.2.1', PORT: String(await freePort()) },
			stdio: ['ignore', 'pipe', 'pipe']
		});
		let output = '';
		let errors = '';
		supervisor.stdout.on('data', (bytes: Buffer) => (output += bytes.toString()));
		supervisor.stderr.on('data', (bytes: Buffer) => (errors += bytes.toString()));
		const code = await new Promise((over) => supervisor.once('close', over));
		expect(code).toBe(1);
		expect(output.match(/started again/g)).toHaveLength(4);
		const [, last] = errors.split('ended 5 times within a minute');
		expect(last).toContain('nothing listens beyond loopback');
	});
});

describe('a folder with a space and an umlaut', () => {
	it('is served from like any other', async () => {
		const folder = join(mkdtempSync(join(tmpdir(), 'zinc-folder-')), 'Werkstatt für Köpfe');
		mkdirSync(folder);
		onTestFinished(() => rmSync(dirname(folder), { recursive: true }));
		for (const file of ['supervisor.js', 'server.js', 'package.json'])
			copyFileSync(join('web', file), join(folder, file));
		symlinkSync(resolve('web/build'), join(folder, 'build'));
		const { url, process: supervisor } = await serverOf({
			database: at.app.database,
			script: join(folder, 'supervisor.js')
		});
		onTestFinished(() => void supervisor.kill('SIGTERM'));
		expect((await fetch(`${url}/bench`)).status).toBe(200);
	});
});

describe('the database’s password', () => {
	it('stands in no command line, and the application’s role is no superuser', async () => {
		const { password } = new URL(at.app.database);
		expect(password.length).toBeGreaterThan(20);
		const output = spawnScripts();
		const lines: string[] = [];
		while (output.exitCode === null) {
			for (const pid of readdirSync('/proc').filter((name) => /^\d+$/.test(name))) {
				try {
					lines.push(readFileSync(`/proc/${pid}/cmdline`, 'utf8'));
				} catch {
					// It has ended meanwhile.
				}
			}
			await new Promise((later) => setTimeout(later, 2));
		}
		expect(output.exitCode).toBe(0);
		expect(lines.some((line) => line.includes('psql'))).toBe(true);
		expect(lines.filter((line) => line.includes(password))).toEqual([]);
		const [role] = await query(
			at.app,
			`select rolsuper, rolcreaterole, pg_get_userbyid(datdba) = current_user as owner
			from pg_roles, pg_database where rolname = current_user and datname = current_database()`
		);
		expect(role).toEqual({ rolsuper: false, rolcreaterole: false, owner: true });
	});
	/** What ./start does with the database, once more. */
	const spawnScripts = (): ChildProcess =>
		spawn(
			'bash',
			[
				'-c',
				'. scripts/common.sh; . scripts/cluster.sh; start_cluster; make_database zinc_test; make_database zinc_test'
			],
			{ stdio: ['ignore', 'ignore', 'inherit'] }
		);
});
