/** A shop on its network whose database or proxy is killed serves again without anybody's help. */
import { execFile } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { request } from 'node:https';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freePort, until } from './support/app.ts';

const run = promisify(execFile);
const ADDRESS = '127.0.0.1';
let data: string;
let env: NodeJS.ProcessEnv;
let tlsPort = 0;
beforeAll(async () => {
	data = mkdtempSync(join(tmpdir(), 'zinc-watch-'));
	tlsPort = await freePort();
	env = {
		...process.env,
		ZINC_DATA: join(data, 'shop'),
		ZINC_NETWORK_PORT: String(tlsPort),
		ZINC_BIND: ADDRESS,
		PORT: String(await freePort())
	};
	delete env.DATABASE_URL;
	// The database's own user has to get through.
	await run('chmod', ['711', data]);
	await run('./start', ['--own', '--network', '--address', ADDRESS], { env });
});
afterAll(async () => {
	await run('./start', ['--stop'], { env }).catch(() => undefined);
	rmSync(data, { recursive: true, force: true });
});

const inShop = (...path: string[]) => join(data, 'shop', ...path);
const first = (file: string) => Number(readFileSync(file, 'utf8').split('\n')[0]);

/** The status of the sign-in page, as a tablet asks for it; 0 where nothing answers. */
const asked = () =>
	new Promise<number>((answered) => {
		const sent = request(
			{ host: ADDRESS, port: tlsPort, path: '/sign-in', rejectUnauthorized: false, timeout: 3000 },
			(answer) => {
				answer.resume();
				answered(answer.statusCode ?? 0);
			}
		);
		sent.on('timeout', () => sent.destroy());
		sent.on('error', () => answered(0));
		sent.end();
	});
/** Whether the page and the database behind it answer. */
const serves = async () => {
	const port = readFileSync(inShop('app-own.port'), 'utf8').trim();
	const health = await fetch(`http://${ADDRESS}:${port}/healthz`).catch(() => null);
	return health?.status === 200 && (await asked()) === 200;
};

describe('a shop on its network', () => {
	it.each([
		['database', () => first(inShop('cluster', 'postmaster.pid'))],
		['proxy', () => first(inShop('proxy', 'pid'))]
	] as const)('serves again after kill -9 of its %s', async (_, pidOf) => {
		await until(serves);
		const pid = pidOf();
		process.kill(pid, 'SIGKILL');
		await until(async () => !(await serves()), 'it never was away');
		await until(serves, 'it did not come back');
		expect(pidOf()).not.toBe(pid);
	});
	it('has units for systemd that are well formed', async () => {
		const folder = join(data, 'units');
		mkdirSync(folder);
		const script =
			'. scripts/common.sh; . scripts/cluster.sh; . scripts/network.sh; . scripts/service.sh';
		await run('bash', ['-c', `set -eu; ${script}; write_units "$1"`, 'units', folder], { env });
		const names = ['database.service', 'app@.service', 'proxy.service'].map((name) =>
			join(folder, `zinc-ledger-${name}`)
		);
		for (const name of names) expect(readFileSync(name, 'utf8')).toContain('Restart=always');
		// Where there is no systemd at all nothing can judge them.
		if (!existsSync('/usr/bin/systemd-analyze')) return;
		const { stderr } = await run('systemd-analyze', ['verify', ...names]);
		expect(stderr.split('\n').filter((line) => line.includes('zinc-ledger'))).toEqual([]);
	});
});
