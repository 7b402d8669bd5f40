/** Nothing listens beyond this machine, whatever the environment says. */
import { spawnSync } from 'node:child_process';
import { describe, expect, it } from 'vitest';

describe('a server without sign-in and TLS', () => {
	it.each(['0.0.0.0', '::', '192.168.1.10', '127.0.0.1.example.org', '[::1]'])(
		'does not listen on %s',
		(host) => {
			const { status, stderr } = spawnSync(process.execPath, ['web/server.js'], {
				env: { ...process.env, HOST: host, PORT: '0' },
				encoding: 'utf8',
				timeout: 60_000
			});
			expect([status, stderr]).toEqual([
				1,
				`HOST is ${host}: nothing listens beyond loopback without sign-in and TLS (./start --own --network).\n`
			]);
		}
	);
});
