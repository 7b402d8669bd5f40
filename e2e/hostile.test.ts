/**
 * Requests that no page of ours would make, over every route and action: wrong types, sizes,
 * encodings, ids, cookies, origins. Each is answered as the sender's fault, and changes nothing
 * that it was not answered with success for.
 */
import { request } from 'node:http';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startApp, type App } from './support/app.ts';
import { idsIn, job, person, storm, type World } from './support/hostile.ts';
import { send } from './support/send.ts';
import { targets } from './support/targets.ts';

const REQUESTS = 1600;
let app: App;
let client: pg.Client;
let world: World;
beforeAll(async () => {
	app = await startApp('demo');
	client = new pg.Client(app.database);
	await client.connect();
	world = {
		origin: app.url,
		ids: await idsIn(client),
		cookies: [
			`zinc-person=${person}`,
			`zinc-person=${person}`,
			'zinc-person=%E0%A4%A',
			'zinc-person=------------------------------------',
			`zinc-person=${'a'.repeat(4000)}`
		]
	};
});
afterAll(async () => {
	await client.end();
	await app.stop();
});

describe('hostile requests', () => {
	it(`${REQUESTS} of them over every route and action: none is answered with 5xx, none changes what it should not`, async () => {
		const all = targets();
		expect(all.length).toBeGreaterThan(40);
		expect(all.flatMap(({ actions }) => actions).length).toBeGreaterThan(10);
		const { port } = new URL(app.url);
		const { wrong, writes } = await storm({
			requests: REQUESTS,
			targets: all,
			world,
			client,
			send: (sent) => send(port, sent),
			may: () => true
		});
		expect(wrong).toEqual([]);
		// Some of them were right after all, or the test would show nothing.
		expect(writes).toBeGreaterThan(0);
		expect((await fetch(`${app.url}/healthz`)).status).toBe(200);
	});

	it('a page of another name is not answered, and one of another address changes nothing', async () => {
		const { hostname, port } = new URL(app.url);
		const asked = (headers: Record<string, string>, method = 'GET', path = '/bench') =>
			new Promise<number>((answered, failed) => {
				const sent = request({ hostname, port, path, method, headers }, (answer) => {
					answer.resume();
					answered(answer.statusCode ?? 0);
				});
				sent.on('error', failed);
				sent.end();
			});
		expect(await asked({ host: 'evil.test' })).toBe(421);
		expect(await asked({ host: `evil.test:${port}` }, 'POST')).toBe(421);
		expect(await asked({ host: `localhost:${port}` })).toBe(200);
		const api = `/api/jobs/${job.id}/readings`;
		expect(await asked({ origin: 'http://evil.test' }, 'POST', api)).toBe(403);
		expect(await asked({ origin: app.url }, 'POST', api)).toBe(400);
	});

	it('pages, files and errors say what a browser may do with them', async () => {
		for (const path of ['/', '/mark.svg', '/no/such/page', '/api/jobs/x', '/healthz']) {
			const { headers } = await fetch(app.url + path);
			expect(headers.get('content-security-policy'), path).toContain("object-src 'none'");
			expect(headers.get('x-content-type-options'), path).toBe('nosniff');
			expect(headers.get('x-frame-options'), path).toBe('DENY');
			expect(headers.get('referrer-policy'), path).toBe('same-origin');
		}
		const page = (await fetch(app.url)).headers.get('content-security-policy')!;
		expect(page).toMatch(/script-src 'self' 'nonce-/);
		expect(page).not.toMatch(/script-src[^;]*unsafe/);
	});
});

describe('what would hold up everybody', () => {
	const within = async (path: string, body: FormData | URLSearchParams) => {
		const start = performance.now();
		const { status } = await fetch(`${app.url}${path}`, {
			method: 'POST',
			body,
			headers: { cookie: `zinc-person=${person}`, origin: app.url }
		});
		return { status, took: performance.now() - start };
	};
	it('a pattern that runs away reads its lines like any other', async () => {
		const pattern = {
			name: 'Runaway',
			type: 'height gauge',
			'link.host': '127.0.0.1',
			'link.port': '9',
			'link.pattern': '^(?<height>(\\d+)+)$'
		};
		expect((await within('/gauges/new', new URLSearchParams(pattern))).status).toBeLessThan(400);
		const lookAround = { ...pattern, 'link.pattern': '(?=a)(?<height>\\d)' };
		const refused = await fetch(`${app.url}/gauges/new`, {
			method: 'POST',
			body: new URLSearchParams(lookAround),
			headers: { cookie: `zinc-person=${person}`, origin: app.url }
		});
		expect(await refused.text()).toContain('look-around and back-references are not understood');
	});
	it('a row of a list with a number like a billion is no row', async () => {
		const values = new URLSearchParams({ revision: '1', 'overrides.100000000.cylinder': '1' });
		const { took } = await within(`/jobs/${job.id}/setup`, values);
		expect(took).toBeLessThan(4000);
	});
	it('a hundred thousand bad lines are told as a few', async () => {
		const form = new FormData();
		form.set('file', new File([`type,name\n${'nonsense,x\n'.repeat(100_000)}`], 'parts.csv'));
		const { status, took } = await within('/parts?/import', form);
		expect(status).toBeLessThan(500);
		expect(took).toBeLessThan(10_000);
	});
});
