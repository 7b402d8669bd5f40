/** ./dev: a page is served from the sources, and a component that is changed is reloaded in it. */
import { spawn } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { afterAll, beforeAll, expect, it, onTestFinished } from 'vitest';
import { freePort, until } from './support/app.ts';
import { Browser } from './support/browser.ts';

const COMPONENT = 'web/src/routes/bench/+page.svelte';
const HEADING = 'Select operator';
const CHANGED = 'Select operator, changed';

let browser: Browser;
let stop: () => Promise<void>;
beforeAll(async () => {
	const port = await freePort();
	// A process group of its own: the script, its gauges and the server end together.
	const dev = spawn('./dev', {
		detached: true,
		env: { ...process.env, PORT: String(port) },
		stdio: ['ignore', 'ignore', 'inherit']
	});
	const ended = new Promise<void>((over) => dev.once('exit', () => over()));
	stop = async () => {
		process.kill(-dev.pid!, 'SIGTERM');
		await ended;
	};
	const url = `http://127.0.0.1:${port}`;
	await until(
		async () => (await fetch(`${url}/healthz`).catch(() => null))?.status === 200,
		() => `./dev serves nothing${dev.exitCode === null ? '' : `: it ended with ${dev.exitCode}`}`
	);
	browser = await Browser.open(url);
});
afterAll(async () => {
	await browser?.close();
	await stop?.();
});

it('serves a page, and shows a change of its component without loading the page again', async () => {
	await browser.go('/bench');
	await browser.sees(HEADING);
	const source = readFileSync(COMPONENT, 'utf8');
	onTestFinished(() => writeFileSync(COMPONENT, source));
	await browser.run('window.isTheSamePage = true');
	writeFileSync(COMPONENT, source.replace(HEADING, CHANGED));
	await browser.sees(CHANGED);
	expect(await browser.run('return window.isTheSamePage === true')).toBe(true);
});
