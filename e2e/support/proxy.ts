/** The proxy that stands in front of a shop on its network, as `./start` tells it, on another address of this machine. */
import { spawn, spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { until } from './app.ts';
import { NAME, SECRET } from './shop.ts';

/** An address of this machine that nothing else here is opened by. */
export const ADDRESS = '127.0.0.2';

export interface Proxy {
	/** A home folder that trusts its authority. */
	readonly home: string;
	stop(): Promise<void>;
}

/** @param apps ports of the application's processes */
export async function startProxy(tlsPort: number, apps: readonly number[]): Promise<Proxy> {
	const data = mkdtempSync(join(tmpdir(), 'zinc-proxy-'));
	mkdirSync(join(data, 'secrets'));
	mkdirSync(join(data, 'proxy'));
	writeFileSync(join(data, 'secrets/proxy'), SECRET);
	const written = spawnSync(
		'bash',
		[
			'-c',
			`. scripts/common.sh; . scripts/cluster.sh; . scripts/network.sh
			proxy_file https://${NAME}:${tlsPort} ${apps.join(' ')}`
		],
		{ env: { ...process.env, ZINC_DATA: data, ZINC_BIND: ADDRESS }, encoding: 'utf8' }
	);
	if (written.status !== 0) throw new Error(written.stderr);
	const file = join(data, 'proxy/Caddyfile');
	writeFileSync(file, written.stdout);
	const proxy = spawn('caddy', ['run', '--config', file, '--adapter', 'caddyfile'], {
		env: { ...process.env, HOME: data, XDG_DATA_HOME: data, XDG_CONFIG_HOME: data },
		stdio: ['ignore', 'ignore', 'pipe']
	});
	let output = '';
	proxy.stderr.on('data', (text: Buffer) => (output += text.toString()));
	const store = join(data, '.pki/nssdb');
	mkdirSync(store, { recursive: true });
	const authority = join(data, 'proxy/store/pki/authorities/local/root.crt');
	const certutil = (...options: string[]) =>
		spawnSync('certutil', ['-d', `sql:${store}`, ...options]).status === 0;
	certutil('-N', '--empty-password');
	await until(
		() => Promise.resolve(certutil('-A', '-t', 'C,,', '-n', 'shop', '-i', authority)),
		() => `the proxy made no authority: ${output}`
	);
	return {
		home: data,
		stop: () =>
			new Promise((ended) => {
				proxy.once('exit', () => {
					rmSync(data, { recursive: true, force: true });
					ended();
				});
				proxy.kill('SIGTERM');
			})
	};
}
