/**
 * Requests that no page of ours would make, over every route and action: wrong types, sizes,
 * encodings, ids, cookies, origins. Each is answered as the sender's fault, and changes nothing
 * that it was not answered with success for.
 */
import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { request } from 'node:http';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { randomFrom } from '@zinc-ledger/core/synthetic';
import { startApp, type App } from './support/app.ts';

const ROUTES = 'web/src/routes';
const REQUESTS = 1600;
const job = JSON.parse(readFileSync('demo/jobs/2417-straight-six.json', 'utf8')) as {
	id: string;
	people: { id: string }[];
	readings: Record<string, unknown>[];
	setup: Record<string, unknown>;
};
const part = (
	JSON.parse(readFileSync('demo/parts.json', 'utf8')) as { parts: { part: { id: string } }[] }
).parts[0]!.part.id;

let app: App;
let client: pg.Client;
const ids = { sets: '', gauges: '' };
beforeAll(async () => {
	app = await startApp('demo');
	client = new pg.Client(app.database);
	await client.connect();
	const idOf = async (table: string) =>
		(await client.query<{ id: string }>(`select id from ${table} limit 1`)).rows[0]!.id;
	ids.sets = await idOf('spring_set');
	ids.gauges = await idOf('gauge');
});
afterAll(async () => {
	await client.end();
	await app.stop();
});

/** The id of something that a path is about. */
const idFor = (path: string) =>
	/^\/(api\/sets|springs)\//.test(path)
		? ids.sets
		: path.startsWith('/gauges/')
			? ids.gauges
			: path.startsWith('/parts/')
				? part
				: job.id;

interface Target {
	readonly path: string;
	readonly methods: readonly string[];
	readonly actions: readonly string[];
}

/** Every route with what it takes, read from the routes themselves. */
function targets(): Target[] {
	const files = readdirSync(ROUTES, { recursive: true, encoding: 'utf8' }).toSorted();
	return files.flatMap((file): Target[] => {
		const path = `/${relative(ROUTES, join(ROUTES, file)).replace(/\/?[^/]*$/, '')}`;
		if (!/\+(server|page)(@)?\.?(server)?\.(ts|svelte)$/.test(file)) return [];
		const text = readFileSync(join(ROUTES, file), 'utf8');
		if (file.endsWith('+server.ts')) {
			const methods = [...text.matchAll(/export (?:async function|const) ([A-Z]+)\b/g)];
			return [{ path, methods: methods.map(([, method]) => method!), actions: [] }];
		}
		const actions =
			file.endsWith('.server.ts') && /export const actions = \{([\s\S]*)/.exec(text)?.[1];
		const names = actions ? [...actions.matchAll(/^\t(\w+): (?:async )?\(/gm)] : [];
		return [{ path, methods: ['GET'], actions: names.map(([, name]) => name!) }];
	});
}

const random = randomFrom(12);
const pick = <T>(...all: readonly T[]): T => all[Math.floor(random() * all.length)]!;
const chance = (part: number) => random() < part;

const ODD_TEXTS = [
	'',
	' ',
	'\u0000',
	'a\u0000b',
	'\ud800',
	"'; drop table job; --",
	'<script>alert(1)</script>',
	'=1+1',
	'../../etc/passwd',
	'%00',
	'%E0%A4%A',
	'𝟙'.repeat(300),
	'9'.repeat(400),
	'1e999',
	'NaN',
	'-0',
	'1,234',
	'1.820 in',
	'name ends in a blank ',
	'0001-01-01T00:00:00Z',
	'9999-12-31T23:59:59.999999999Z',
	'2026-02-30T25:61:61Z',
	'constructor',
	'__proto__',
	'^(?<height>(\\d+)+)$'
];
const IDS = () =>
	pick(
		job.id,
		job.id.toUpperCase(),
		part,
		job.people[0]!.id,
		'00000000-0000-0000-0000-000000000000',
		'0197a111-0000-7000-8000-00000000000g',
		'not-an-id',
		'------------------------------------',
		pick(...ODD_TEXTS)
	);
const oddValue = (depth = 0): unknown =>
	pick<() => unknown>(
		() => pick(...ODD_TEXTS),
		() => IDS(),
		() => pick(0, -1, 1e308, 2 ** 53, 0.1, -0),
		() => null,
		() => chance(0.5),
		() => (depth > 3 ? [] : Array.from({ length: pick(0, 1, 5, 60) }, () => oddValue(depth + 1))),
		() => (depth > 3 ? {} : { [pick('id', 'at', 'x', ...ODD_TEXTS)]: oddValue(depth + 1) })
	)();

/** Something that was right but for one place. */
function slipped(value: unknown): unknown {
	if (Array.isArray(value)) {
		if (value.length === 0 || chance(0.2)) return oddValue();
		const at = Math.floor(random() * value.length);
		return value.map((one, i) => (i === at ? slipped(one) : (one as unknown)));
	}
	if (typeof value === 'object' && value !== null && chance(0.9)) {
		const keys = Object.keys(value);
		const key = chance(0.1) || keys.length === 0 ? pick(...ODD_TEXTS) : pick(...keys);
		return { ...value, [key]: slipped((value as Record<string, unknown>)[key]) };
	}
	return oddValue();
}

const person = job.people[0]!.id;
const at = '2026-11-27T08:00:00.000Z';
const uuid = () =>
	'0197c000-0000-7000-8000-' + String(Math.floor(random() * 1e12)).padStart(12, '0');
/** What each route would take, by the end of its path. */
const RIGHT: Readonly<Record<string, () => unknown>> = {
	readings: () => pick<unknown>(reading(), [reading()]),
	voids: () => ({ id: uuid(), reading: job.readings[0]!.id, reason: 'slipped', person, at }),
	setup: () => ({ revision: pick(1, 2), setup: job.setup }),
	'[label]': () => pick<unknown>({ shims: ['0.015 in'] }, { parts: null }),
	plan: () =>
		pick<unknown>(
			{ id: uuid(), proven: true, stations: [{ label: '1I', shims: [] }], person, at },
			{ plan: uuid(), reason: 'tried' }
		),
	signed: () => ({ person, units: { length: 'in', load: 'lbf' } }),
	bench: () => ({ units: { length: 'mm', load: 'N' }, scheme: 'dark' }),
	'firing-order': () => ({ firingOrder: [1, 5, 3, 6, 2, 4] }),
	answers: () => ({ subject: 'heads.A.forgotten.locator', answer: true }),
	'[list]': () => ({ id: uuid(), text: 'note', person, at }),
	limits: () => ({ oddWatch: 0.05, oddStop: 0.1, sagWatch: 0.05, sagStop: 0.1 }),
	'[tag]': () => ({ freeHeight: '50 mm' })
};
const reading = () => ({ ...job.readings[0], id: uuid() });

const FORM_FIELDS = [
	'id',
	'person',
	'name',
	'initials',
	'change',
	'reason',
	'retired',
	'revision',
	'number',
	'customer',
	'engine',
	'sort',
	'cam',
	'card',
	'job',
	'count',
	'seat',
	'lift',
	'text',
	'tag',
	'height',
	'against',
	'reference',
	'read',
	'overrides.100000000.cylinder',
	'shimStock.4000000000.thickness',
	'link.pattern',
	'link.host',
	'kinds.intake.lift.lobe',
	'__proto__.x'
];

interface Body {
	readonly type?: string;
	readonly bytes: Buffer;
}
function body(isForm: boolean, path: string): Body {
	const right = RIGHT[path.split('/').at(-1)!] ?? (() => pick(...Object.values(RIGHT))());
	const form = () =>
		new URLSearchParams(
			Array.from({ length: pick(0, 1, 4, 12) }, () => [
				pick(...FORM_FIELDS),
				String(pick(IDS(), pick(...ODD_TEXTS), '4', 'yes'))
			])
		).toString();
	const multipart = (content: string) =>
		`--x\r\ncontent-disposition: form-data; name="file"; filename="${pick('a.json', 'a.csv', '\u0000', '')}"\r\ncontent-type: text/plain\r\n\r\n${content}\r\n--x--\r\n`;
	const json = () =>
		JSON.stringify(chance(0.1) ? oddValue() : chance(0.4) ? right() : slipped(right()));
	return pick<() => Body>(
		...(isForm
			? [
					() => ({ type: 'application/x-www-form-urlencoded', bytes: Buffer.from(form()) }),
					() => ({ type: 'application/x-www-form-urlencoded', bytes: Buffer.from(form()) }),
					() => ({
						type: 'multipart/form-data; boundary=x',
						bytes: Buffer.from(
							multipart(pick(json(), '{"format":', 'sort,name\nspring,=1', '', 'h,l\n1,2'))
						)
					})
				]
			: [
					() => ({ type: 'application/json', bytes: Buffer.from(json()) }),
					() => ({ type: 'application/json', bytes: Buffer.from(json()) }),
					() => ({ type: 'application/json', bytes: Buffer.from(json().slice(0, 40)) })
				]),
		() => ({ type: 'application/json', bytes: Buffer.from(json()) }),
		() => ({
			type: 'multipart/form-data; boundary=x',
			bytes: Buffer.from(multipart('x').slice(0, pick(5, 60)))
		}),
		() => ({ type: 'multipart/form-data', bytes: Buffer.from('no boundary') }),
		() => ({
			type: pick('text/plain', 'image/jpeg', 'x/y; charset=utf-7'),
			bytes: Buffer.from([0xff, 0xd8, 0xff, 0])
		}),
		() => ({ bytes: Buffer.from('['.repeat(5000)) }),
		() => ({ bytes: Buffer.alloc(0) })
	)();
}

const encode = (text: string) => {
	try {
		return encodeURIComponent(text);
	} catch {
		return '%ED%A0%80';
	}
};

interface Sent {
	readonly method: string;
	readonly path: string;
	readonly headers: Record<string, string>;
	readonly body: Buffer;
}

function hostile(target: Target): Sent {
	const isAction = target.actions.length > 0 && chance(0.7);
	const method = isAction
		? 'POST'
		: pick(
				...target.methods,
				...target.methods,
				...target.methods,
				'POST',
				'PUT',
				'PATCH',
				'DELETE'
			);
	const isRight = chance(0.6);
	const path = target.path.replace(/\[(\w+)(?:=\w+)?\]/g, (_, name: string) => {
		if (name === 'label') return encode(pick('1I', '9I', ...ODD_TEXTS)) || 'x';
		if (name === 'list') return pick('notes', 'checks', 'plans', 'headWork', 'assembly', 'x');
		if (name === 'tag') return pick('T1', 'T99', '%00', '%E0');
		if (name === 'file') return pick('sheet.json', 'sheet.pdf', 'x');
		return isRight ? idFor(target.path) : encode(IDS()) || 'x';
	});
	const query = [
		...(isAction
			? [`/${pick(...target.actions, 'nothing', '__proto__')}`.replace('/default', '')]
			: []),
		...(chance(0.5)
			? [
					`${pick('find', 'sort', 'of', 'order', 'page', 'copy', 'station', 'topics', 'tag', 'size', 'back', 'as')}=${encode(pick(...ODD_TEXTS, 'job:x', `gauge:${job.id}`, '//evil.test', '99999'))}`
				]
			: [])
	].join('&');
	const content = method === 'GET' ? { bytes: Buffer.alloc(0) } : body(isAction, target.path);
	const cookie = pick(
		'',
		`zinc-person=${person}`,
		`zinc-person=${person}`,
		'zinc-person=%E0%A4%A',
		'zinc-person=------------------------------------',
		`zinc-person=${'a'.repeat(4000)}`,
		'zinc-units=in,stone; zinc-scheme=%00',
		'=;;;=\u0001'.replace('\u0001', ' ')
	);
	const origin = pick('', '', app.url, app.url, 'http://evil.test', 'null');
	return {
		method,
		path: `${path}${query ? `?${query}` : ''}`,
		headers: {
			...(cookie && { cookie }),
			...(origin && { origin }),
			...(content.type && { 'content-type': content.type }),
			...(isAction && chance(0.6) && { accept: 'application/json', 'x-sveltekit-action': 'true' }),
			...(chance(0.1) && {
				'x-sent-at': pick(...ODD_TEXTS.filter((text) => /^[ -~]*$/.test(text)))
			})
		},
		body: content.bytes
	};
}

/** Sends as it is, without the manners of `fetch`; a stream is left at its first line. */
function send({
	method,
	path,
	headers,
	body: bytes
}: Sent): Promise<{ status: number; text: string }> {
	const { hostname, port } = new URL(app.url);
	return new Promise((answered, failed) => {
		const sent = request(
			{ method, hostname, port, path, headers: { ...headers, 'content-length': bytes.length } },
			(answer) => {
				let text = '';
				const done = () => answered({ status: answer.statusCode ?? 0, text });
				answer.setEncoding('utf8');
				answer.on('data', (more: string) => {
					text += more;
					if (!answer.headers['content-type']?.startsWith('text/event-stream')) return;
					sent.destroy();
					done();
				});
				answer.on('end', done);
				answer.on('error', done);
			}
		);
		sent.setTimeout(20_000, () => sent.destroy(new Error(`no answer to ${method} ${path}`)));
		sent.on('error', failed);
		sent.end(bytes);
	});
}

/** Rows that follow the documents by themselves, a moment later. */
const DERIVED = [
	'job_state',
	'job_stage',
	'part_need',
	'station_result',
	'spring_result',
	'service_run',
	'service_item'
];

/** What stands in every other table, in one digest. */
async function dump(): Promise<string> {
	const { rows } = await client.query<{ name: string }>(
		"select tablename as name from pg_tables where schemaname = 'public' and tablename <> all ($1) order by 1",
		[DERIVED]
	);
	const parts = rows.map(
		({ name }) =>
			`select '${name}' as name, count(*) || coalesce(md5(string_agg(md5(t::text), '' order by md5(t::text))), '') as digest from public."${name}" t`
	);
	const digests = await client.query<{ name: string; digest: string }>(parts.join(' union all '));
	return JSON.stringify(digests.rows);
}

/** Whether an answer says that something was done: a form's refusal comes as a 200 of its own. */
const isDone = ({ status, text }: { status: number; text: string }) =>
	status < 400 && !/^\{"type":"(failure|error)"/.test(text);

describe('hostile requests', () => {
	it(`${REQUESTS} of them over every route and action: none is answered with 5xx, none changes what it should not`, async () => {
		const all = targets();
		expect(all.length).toBeGreaterThan(40);
		expect(all.flatMap(({ actions }) => actions).length).toBeGreaterThan(10);
		const wrong: string[] = [];
		let before = await dump();
		let writes = 0;
		for (let i = 0; i < REQUESTS; i++) {
			const sent = hostile(all[i % all.length]!);
			const answer = await send(sent);
			const told = `${sent.method} ${sent.path} ${JSON.stringify(sent.headers)} ${sent.body.toString('utf8').slice(0, 300)}`;
			if (answer.status >= 500 || answer.status === 0) wrong.push(`${answer.status} ${told}`);
			if (sent.method === 'GET') continue;
			const after = await dump();
			if (isDone(answer)) writes++;
			else if (after !== before) wrong.push(`changed by ${answer.status} ${told}`);
			before = after;
		}
		expect(wrong.map((one) => JSON.stringify(one))).toEqual([]);
		// Some of them were right after all, or the test would show nothing.
		expect(writes).toBeGreaterThan(0);
		expect(
			(await send({ method: 'GET', path: '/healthz', headers: {}, body: Buffer.alloc(0) })).status
		).toBe(200);
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
			sort: 'height gauge',
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
		form.set('file', new File([`sort,name\n${'nonsense,x\n'.repeat(100_000)}`], 'parts.csv'));
		const { status, took } = await within('/parts?/import', form);
		expect(status).toBeLessThan(500);
		expect(took).toBeLessThan(10_000);
	});
});
