/** The guard of the browser tests: what it is there to notice, planted. */
import { readdirSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { until } from './support/app.ts';
import { visit } from './support/visit.ts';

const at = visit('own');

/** What the browser reports, once it reports anything. */
async function reported(): Promise<string> {
	const found: string[] = [];
	await until(async () => {
		found.push(...(await at.browser.reported()));
		return found.length > 0;
	}, 'the browser reported nothing');
	return found.join('\n');
}

describe('the browser reports', () => {
	it('an error that nobody caught in a page', async () => {
		await at.browser.go('/bench');
		expect(await at.browser.reported()).toEqual([]);
		await at.browser.run('setTimeout(() => { throw new Error("planted in a page") })');
		expect(await reported()).toContain('planted in a page');
	});
	it('a rejection that nobody caught', async () => {
		await at.browser.run('void Promise.reject(new Error("planted in a promise"))');
		expect(await reported()).toContain('planted in a promise');
	});
	it('an error that nobody caught in a worker', async () => {
		await at.browser.go('/calculators');
		// The planner's worker, sent what none of ours would send.
		await at.browser.wait(
			`const [path] = arguments;
			const worker = new Worker(path, { type: 'module' });
			worker.postMessage({ argumentList: [{ type: 'HANDLER', name: 'planted' }] })`,
			workerPath()
		);
		expect(await reported()).toMatch(/worker.*(TypeError|undefined)/s);
	});
	it('a violation of the policy', async () => {
		await at.browser.run('new Image().src = "http://evil.test/planted.png"');
		expect(await reported()).toMatch(/planted\.png.*Content Security Policy/s);
	});
	it('and nothing that a test said it expects', async () => {
		at.browser.expects(/planted and expected/);
		await at.browser.run('console.error("planted and expected")');
		expect(await at.browser.reported()).toEqual([]);
	});
});

/** Where the build has the planner's worker. */
function workerPath(): string {
	const names = readdirSync('web/build/client/_app/immutable/workers');
	const name = names.find((one) => /^plan\.worker-[\w-]+\.js$/.test(one));
	if (!name) throw new Error('the build has no worker of the planner');
	return `/_app/immutable/workers/${name}`;
}
