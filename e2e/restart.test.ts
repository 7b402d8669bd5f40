/** Two processes of a shop behind one proxy: they hear of each other, and are started anew in turn without a lost reading. */
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { request } from 'node:https';
import { join } from 'node:path';
import { request as plainRequest } from 'node:http';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freePort, query, serverOf, until } from './support/app.ts';
import { ADDRESS, startProxy, type Proxy } from './support/proxy.ts';
import { NAME, onNetwork, SECRET, startShop, type Shop } from './support/shop.ts';

const job = JSON.parse(readFileSync('demo/jobs/2417-straight-six.json', 'utf8')) as {
	id: string;
	readings: Record<string, unknown>[];
};
const api = `/api/jobs/${job.id}/readings`;
/** How many benches send readings at once while the processes are started anew, and how often each. */
const BENCHES = 8;
const EACH = 25;

let shop: Shop;
let second: Awaited<ReturnType<typeof serverOf>>;
let proxy: Proxy;
let tlsPort = 0;
let cookie = '';
const env = () => ({ ...onNetwork(tlsPort), BODY_SIZE_LIMIT: '16M', ZINC_NIGHTLY: '' });
beforeAll(async () => {
	tlsPort = await freePort();
	shop = await startShop(tlsPort);
	second = await serverOf({ database: shop.database, env: env() });
	proxy = await startProxy(tlsPort, [portOf(shop.url), portOf(second.url)]);
	cookie = await shop.signIn('machinist');
});
afterAll(async () => {
	await proxy?.stop();
	second?.process.kill('SIGTERM');
	await shop?.stop();
});
const portOf = (url: string) => Number(new URL(url).port);

const reading = () => ({ ...job.readings[0], person: shop.people.machinist, id: randomUUID() });

/** Sends a reading through the proxy. @returns its status, 0 where nothing came back */
function sent(body: object, cookie: string): Promise<number> {
	const bytes = Buffer.from(JSON.stringify(body));
	return new Promise((answered) => {
		const asked = request(
			{
				host: ADDRESS,
				port: tlsPort,
				servername: NAME,
				ca: readFileSync(join(proxy.home, 'proxy/store/pki/authorities/local/root.crt')),
				path: api,
				method: 'POST',
				headers: {
					host: `${NAME}:${tlsPort}`,
					origin: shop.origin,
					cookie,
					'content-type': 'application/json',
					'content-length': bytes.length
				}
			},
			(answer) => {
				answer.resume();
				answer.on('end', () => answered(answer.statusCode ?? 0));
			}
		);
		asked.on('error', () => answered(0));
		asked.end(bytes);
	});
}

describe('two processes of one shop', () => {
	it('hear of each other: what one stores, the benches of the other are told', async () => {
		const { host } = new URL(shop.origin);
		let heard = '';
		const listening = plainRequest(
			{
				host: '127.0.0.1',
				port: portOf(second.url),
				path: `/api/live?topics=job:${job.id}`,
				headers: { host, cookie, 'x-zinc-proxy': SECRET }
			},
			(answer) => answer.on('data', (text: Buffer) => (heard += text.toString()))
		);
		listening.on('error', () => undefined);
		listening.end();
		// The listener is heard once its own connection to the database stands.
		await until(async () => {
			const one = reading();
			const answer = await shop.ask(api, {
				method: 'POST',
				cookie,
				headers: { origin: shop.origin, 'content-type': 'application/json' },
				body: JSON.stringify(one)
			});
			expect(answer.status).toBe(200);
			return heard.includes(one.id) || heard.includes('readings');
		}, 'the other process told nothing');
		listening.destroy();
	});

	it('are started anew one after the other, and no reading is lost or refused', async () => {
		const acknowledged: string[] = [];
		const answers = new Map<number, number>();
		let slowest = 0;
		let isOver = false;
		const bench = async () => {
			const own = await shop.signIn('machinist');
			while (!isOver) {
				const one = reading();
				const begun = performance.now();
				const status = await sent(one, own);
				slowest = Math.max(slowest, performance.now() - begun);
				answers.set(status, (answers.get(status) ?? 0) + 1);
				if (status === 200) acknowledged.push(one.id);
				await new Promise((later) => setTimeout(later, EACH));
			}
		};
		const benches = Array.from({ length: BENCHES }, bench);
		await until(() => Promise.resolve(acknowledged.length > 20 * BENCHES));
		await shop.stop();
		await shop.start();
		const between = acknowledged.length;
		await until(() => Promise.resolve(acknowledged.length > between + 20 * BENCHES));
		const ended = new Promise((done) => second.process.once('exit', done));
		second.process.kill('SIGTERM');
		await ended;
		second = await serverOf({ database: shop.database, env: env(), port: portOf(second.url) });
		const after = acknowledged.length;
		await until(() => Promise.resolve(acknowledged.length > after + 20 * BENCHES));
		isOver = true;
		await Promise.all(benches);
		const stored = (await query(shop, 'select id from reading where id = any ($1)', [
			acknowledged
		])) as { id: string }[];
		console.log(
			`rolling restart: ${acknowledged.length} acknowledged, ${stored.length} stored, answers ${JSON.stringify([...answers])}, slowest ${Math.round(slowest)} ms`
		);
		expect(stored).toHaveLength(acknowledged.length);
		expect([...answers.keys()]).toEqual([200]);
	});
});
