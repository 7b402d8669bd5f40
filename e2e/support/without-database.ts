/** The database server that the tests run on, taken away for a while. */
import { spawnSync } from 'node:child_process';
import { onTestFinished } from 'vitest';
import { AWAY, opened } from './browser.ts';

/** Does something while the whole database server that the tests run on is away; however that ends, it comes back. */
export async function withoutDatabase(act: () => Promise<unknown>): Promise<void> {
	// A test that runs out of time leaves what it does unfinished.
	onTestFinished(() => cluster('start'));
	for (const browser of opened) browser.expects(AWAY);
	cluster('stop');
	try {
		await act();
	} finally {
		cluster('start');
	}
}

function cluster(what: 'stop' | 'start'): void {
	const script = `set -e; . scripts/common.sh; . scripts/cluster.sh; ${what}_cluster`;
	const { status, stderr } = spawnSync('bash', ['-c', script, 'bash'], { encoding: 'utf8' });
	if (status !== 0) throw new Error(`the database did not ${what}: ${stderr}`);
}
