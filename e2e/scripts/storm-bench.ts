/**
 * What bodies do to a shop on its network: requests over every route that takes one, as anybody,
 * a helper and the owner, with bodies at the route's limit, ten times as long, and of a million
 * parts, while another client asks for a page again and again.
 *
 *   npm run bench:storm
 *
 * REQUESTS (10000) is how many. It ends with a failure where anything was answered with 5xx, the
 * process ended, or it took more than 400 MB.
 */
import { fork } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { once } from 'node:events';
import { request } from 'node:http';
import { randomFrom } from '@zinc-ledger/core/synthetic';
import { bodyLimitOf } from '../../web/src/lib/access/body-limits.ts';
import { NAME, SECRET, startShop, type Role } from '../support/shop.ts';
import { send } from '../support/send.ts';
import type { Probe } from './probe.ts';
import { targets } from '../support/targets.ts';

const requests = Number(process.env.REQUESTS ?? 10_000);
const AT_ONCE = 6;
/** Browsers of each role, so that none of them asks too often. */
const BROWSERS = 24;
/** For so long it is asked while nobody else is there, in ms. */
const CALM = 5000;
const MAX_MB = 400;
/** How often the memory of the process is looked at, in ms. */
const SAMPLE_EACH = 40;
/** Pages asked for first: a process is slow at its first ones. */
const WARM = 150;

const job = JSON.parse(readFileSync('demo/jobs/2417-straight-six.json', 'utf8')) as { id: string };
const shop = await startShop();
const port = Number(new URL(shop.url).port);
const host = `${NAME}:${port}`;
const pid = shop.pid();
const random = randomFrom(7);
const pick = <T>(all: readonly T[]): T => all[Math.floor(random() * all.length)]!;

const cookies: Record<'helper' | 'owner', string[]> = { helper: [], owner: [] };
for (const role of ['helper', 'owner'] as const)
	for (let i = 0; i < BROWSERS; i++) cookies[role].push(await shop.signIn(role as Role));
const asked: Probe = {
	port,
	path: `/jobs/${job.id}`,
	headers: {
		host,
		'x-zinc-proxy': SECRET,
		'x-forwarded-for': '198.51.100.9',
		cookie: await shop.signIn('machinist')
	}
};

/** What would sign the storm's own browsers out. */
const ENDS = new Set(['out', 'everywhere', 'leave', 'pick', 'end', 'role', 'password', 'invite']);

/** Every route that takes a body, by method and action. */
const all = targets().flatMap(({ path, methods, actions }) => {
	const entry = (method: string, action: string) => {
		const search = action === '' || action === 'default' ? '' : `?/${action}`;
		const url = new URL(`http://a.test${path}${search}`);
		return {
			path,
			method,
			search,
			limit: bodyLimitOf({ route: path, method, url, list: 'notes' })
		};
	};
	return [
		...methods.filter((method) => method !== 'GET').map((method) => entry(method, '')),
		...actions.filter((action) => !ENDS.has(action)).map((action) => entry('POST', action))
	];
});
const SIZES = ['limit', 'tenfold', 'million'] as const;
type Size = (typeof SIZES)[number];
const PARTS = 1_000_000;

interface Body {
	readonly type: string;
	readonly start: Buffer;
	/** Zeros after the start, up to this length in all. */
	readonly length: number;
}
const manyParts = Buffer.alloc(2 * PARTS, 'a&');
const manyValues = Buffer.concat([
	Buffer.from('['),
	Buffer.alloc(2 * PARTS, '1,'),
	Buffer.from('1]')
]);

function bodyOf(size: Size, bytes: number, isApi: boolean, isFile: boolean): Body {
	if (size === 'million')
		return isApi
			? { type: 'application/json', start: manyValues, length: manyValues.length }
			: { type: 'application/x-www-form-urlencoded', start: manyParts, length: manyParts.length };
	const length = size === 'tenfold' ? 10 * bytes : bytes;
	if (isApi) return { type: 'application/json', start: Buffer.from('{"a":"'), length };
	if (!isFile)
		return { type: 'application/x-www-form-urlencoded', start: Buffer.from('a='), length };
	const start = Buffer.from(
		'--limit\r\ncontent-disposition: form-data; name="file"; filename="a.json"\r\n\r\n{"a":"'
	);
	return { type: 'multipart/form-data; boundary=limit', start, length };
}

const PIECE = Buffer.alloc(64 * 1024, '0');

/** Sends a body piece by piece until it is all there or an answer is. @returns its status; 0 where the connection ended first */
function sendBody(
	path: string,
	method: string,
	cookie: string | undefined,
	body: Body,
	from: string
) {
	return new Promise<number>((answered) => {
		const sent = request(
			{
				host: '127.0.0.1',
				port,
				path,
				method,
				headers: {
					host,
					origin: shop.origin,
					accept: 'text/html',
					'x-zinc-proxy': SECRET,
					'x-forwarded-for': from,
					'content-type': body.type,
					'content-length': body.length,
					...(cookie && { cookie })
				}
			},
			(answer) => {
				answer.resume();
				answered(answer.statusCode ?? 0);
				sent.destroy();
			}
		);
		sent.on('error', () => answered(0));
		let left = body.length - body.start.length;
		const more = () => {
			while (left > 0) {
				const piece = PIECE.subarray(0, Math.min(left, PIECE.length));
				left -= piece.length;
				if (!sent.write(piece)) return void sent.once('drain', more);
			}
			sent.end();
		};
		if (sent.write(body.start)) more();
		else sent.once('drain', more);
	});
}

const rss = () =>
	Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))![1]) / 1024;
const isAlive = () => shop.pid() === pid && rss() > 0;

/** How long another client's page takes while a storm goes on. */
async function storm(count: number, sizes: readonly Size[], wants: (isFile: boolean) => boolean) {
	const wanted = all.filter(({ limit }) => wants(limit.isFile));
	const statuses = new Map<number, number>();
	const failed = new Set<string>();
	let [max, left, isOver] = [0, count, false];
	const ask = async () => {
		while (left-- > 0) {
			const { path, method, search, limit } = pick(wanted);
			const role = pick(['anybody', 'helper', 'owner'] as const);
			const cookie = role === 'anybody' ? undefined : pick(cookies[role]);
			const body = bodyOf(pick(sizes), limit.bytes, path.startsWith('/api/'), limit.isFile);
			const at = `${path.replaceAll(/\[[^\]]+\]/g, job.id)}${search}`;
			const from = `192.0.2.${Math.floor(random() * 250) + 1}`;
			const status = await sendBody(at, method, cookie, body, from);
			statuses.set(status, (statuses.get(status) ?? 0) + 1);
			if (status >= 500) failed.add(`${status} ${method} ${at} as ${role}`);
		}
	};
	const watch = async () => {
		while (!isOver) {
			max = Math.max(max, rss());
			await new Promise((later) => setTimeout(later, SAMPLE_EACH));
		}
	};
	const other = fork('e2e/scripts/probe.ts', [JSON.stringify(asked)], {
		execArgv: ['--import', 'tsx']
	});
	await once(other, 'message');
	const watching = watch();
	if (count === 0) await new Promise((later) => setTimeout(later, CALM));
	await Promise.all(Array.from({ length: AT_ONCE }, ask));
	isOver = true;
	await watching;
	other.send('stop');
	const [times] = (await once(other, 'message')) as [number[]];
	const at = (part: number) => times[Math.min(times.length - 1, Math.floor(part * times.length))]!;
	console.log(
		`  answers ${[...statuses]
			.toSorted()
			.map(([status, n]) => `${status}: ${n}`)
			.join(', ')}`
	);
	console.log(
		`  the other client's page, ${times.length} times: median ${at(0.5).toFixed(0)} ms, 99 % within ${at(0.99).toFixed(0)} ms; memory at most ${max.toFixed(0)} MB`
	);
	for (const one of failed) console.log(`  ${one}`);
	if (failed.size > 0 || !isAlive() || max > MAX_MB) process.exitCode = 1;
}

for (let i = 0; i < WARM; i++)
	await send(String(port), {
		method: 'GET',
		path: asked.path,
		headers: asked.headers,
		body: Buffer.of()
	});
console.log(`before: ${rss().toFixed(0)} MB`);
console.log('nobody else:');
await storm(0, SIZES, () => true);
console.log('bodies refused by their limits:');
await storm(Math.round(requests * 0.7), ['tenfold', 'million'], () => true);
console.log('bodies at their limits, no files:');
await storm(Math.round(requests * 0.25), ['limit'], (isFile) => !isFile);
console.log('files at their limits:');
await storm(Math.round(requests * 0.05), ['limit'], (isFile) => isFile);
console.log(isAlive() ? 'the process serves as before' : 'THE PROCESS ENDED');
await shop.stop();
