/** A shop on its network, asked by those who mean it no good. */
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { needOf } from '../web/src/lib/access/needs.ts';
import { query } from './support/app.ts';
import { idsIn, job, storm } from './support/hostile.ts';
import { send } from './support/send.ts';
import {
	invited,
	PASSWORD,
	PIN,
	ROLES,
	startShop,
	userName,
	type Role,
	type Shop
} from './support/shop.ts';
import { targets } from './support/targets.ts';

const REQUESTS = 900;
/** What would end the very session that the rest is asked with. */
const ENDS = new Set(['out', 'everywhere', 'leave']);

let shop: Shop;
let client: pg.Client;
beforeAll(async () => {
	shop = await startShop();
	client = new pg.Client(shop.database);
	await client.connect();
});
afterAll(async () => {
	await client.end();
	await shop.stop();
});

const asForm = { accept: 'application/json', 'x-sveltekit-action': 'true' };
const api = `/api/jobs/${job.id}/readings`;
const asJson = (body: unknown, cookie?: string, origin = shop.origin) => ({
	method: 'POST',
	cookie,
	headers: { origin, accept: 'application/json', 'content-type': 'application/json' },
	body: JSON.stringify(body)
});
const reading = (person: string, n: number) => ({
	...job.readings[0],
	person,
	id: `0197d000-0000-7000-8000-${String(n).padStart(12, '0')}`
});
const rows = async (text: string, values: unknown[] = []) =>
	(await query(shop, text, values)) as Record<string, unknown>[];

describe('hostile requests on the network', () => {
	it.each([
		['nobody', null],
		['a helper', 'helper'],
		['the owner', 'owner']
	] as const)(`${REQUESTS} of them as %s`, async (_, role) => {
		const cookie = role ? await shop.signIn(role) : '';
		const all = targets().map((target) => ({
			...target,
			actions: target.actions.filter((action) => !ENDS.has(action))
		}));
		const { port, host } = new URL(shop.origin);
		let asked = 0;
		const { wrong, writes } = await storm({
			requests: REQUESTS,
			targets: all,
			client,
			world: {
				origin: shop.origin,
				ids: await idsIn(client),
				cookies: role ? Array.from({ length: 12 }, () => cookie) : ['__Host-zinc=x', '__Host-zinc=']
			},
			send: (sent) =>
				send(port, {
					...sent,
					headers: {
						host,
						'x-zinc-proxy': shop.secret,
						// As many addresses as a minute takes, so that none is held back for asking often.
						'x-forwarded-for': `198.51.100.${asked++ % 250}`,
						...sent.headers
					}
				}),
			may: ({ method, path }, { path: route }) => {
				const url = new URL(path, shop.origin);
				const list = /\/entries\/([^/?]*)/.exec(path)?.[1];
				const need = needOf({ route, method, url, list });
				if (need === 'anyone') return true;
				return role !== null && (need === 'session' || reachesBy(role, need));
			}
		});
		expect(wrong).toEqual([]);
		if (role === null) expect(writes).toBe(0);
		// What they may do is done all the same, or the test would show nothing.
		else {
			const right = asJson(reading(shop.people[role], 800 + ROLES.indexOf(role)), cookie);
			expect((await shop.ask(api, right)).status).toBe(200);
		}
	});
	const reachesBy = (role: Role, need: string | null) =>
		need !== null && ROLES.indexOf(role) >= ROLES.indexOf(need as Role);
});

describe('what is forged', () => {
	it('a host that is not the shop’s own is not answered, nor a request that came past the proxy', async () => {
		const { port } = new URL(shop.url);
		const direct = async (headers: Record<string, string>, path = '/sign-in') =>
			(await send(port, { method: 'GET', path, headers, body: Buffer.alloc(0) })).status;
		const { host } = new URL(shop.origin);
		expect(await direct({ host, 'x-zinc-proxy': shop.secret })).toBe(200);
		expect(await direct({ host })).toBe(421);
		expect(await direct({ host, 'x-zinc-proxy': 'a guess' })).toBe(421);
		expect(await direct({ host: 'evil.test', 'x-zinc-proxy': shop.secret })).toBe(421);
		expect(await direct({ host: `127.0.0.1:${port}` })).toBe(421);
		expect(await direct({ host: `127.0.0.1:${port}` }, '/healthz')).toBe(200);
	});
	it('a page of another address, or of none, changes nothing', async () => {
		const cookie = await shop.signIn('machinist');
		const sent = reading(shop.people.machinist, 1);
		for (const origin of ['https://evil.test', 'null', `${shop.origin}.evil.test`])
			expect((await shop.ask(api, asJson(sent, cookie, origin))).status).toBe(403);
		const { headers, ...rest } = asJson(sent, cookie);
		const bare = { 'content-type': headers['content-type'] };
		expect((await shop.ask(api, { ...rest, headers: bare })).status).toBe(403);
		const fields = new URLSearchParams({ name: 'Mallory', initials: 'MM' }).toString();
		const form = await shop.ask('/people?/add', {
			method: 'POST',
			cookie: await shop.signIn('owner'),
			headers: {
				origin: 'https://evil.test',
				'content-type': 'application/x-www-form-urlencoded'
			},
			body: fields
		});
		expect(form.status).toBe(403);
		expect(await rows(`select 1 from person where name = 'Mallory'`)).toEqual([]);
		expect((await shop.ask(api, asJson(sent, cookie))).status).toBe(200);
	});
	it('a cookie that was made up signs nobody in; one of another’s making is not taken over', async () => {
		const fixed = `__Host-zinc=${'A'.repeat(43)}`;
		expect((await shop.ask('/', { cookie: fixed })).status).toBe(303);
		const fields = { userName: userName('helper'), password: PASSWORD };
		const { cookie } = await shop.form('/sign-in', fields, fixed);
		expect(cookie).not.toBe(fixed);
		expect((await shop.ask('/', { cookie: fixed })).status).toBe(303);
		expect((await shop.ask('/', { cookie: cookie! })).status).toBe(200);
	});
	it('the cookie is for TLS, for this address, and for no script', async () => {
		const fields = { userName: userName('helper'), password: PASSWORD };
		const { headers } = await shop.form('/sign-in', fields);
		const set = headers['set-cookie']!.find((one) => one.startsWith('__Host-zinc='))!;
		for (const part of ['Secure', 'HttpOnly', 'SameSite=Lax', 'Path=/'])
			expect(set).toContain(part);
		expect(set).not.toContain('Domain');
		const stored = await rows('select key from session');
		const token = /=([\w-]+);/.exec(set)![1]!;
		expect(stored.some(({ key }) => String(key).includes(token))).toBe(false);
	});
	it('nothing leads out of the shop after a sign-in', async () => {
		for (const back of ['//evil.test', '/\t/evil.test', 'https://evil.test', '/\\evil.test']) {
			const answer = await shop.form(`/sign-in?back=${encodeURIComponent(back)}`, {
				userName: userName('reader'),
				password: PASSWORD
			});
			const to = new URL(String(answer.headers.location), shop.origin);
			expect([answer.status, to.origin]).toEqual([303, shop.origin]);
		}
	});
	it('what is told to one browser is kept by nobody on the way, and says what may be done with it', async () => {
		const cookie = await shop.signIn('reader');
		for (const path of ['/', `/jobs/${job.id}`, '/sign-in', '/no/such/page', '/mark.svg']) {
			const { headers } = await shop.ask(path, { cookie });
			expect(headers['strict-transport-security'], path).toBeDefined();
			expect(headers['content-security-policy'], path).toContain("object-src 'none'");
			if (path !== '/mark.svg') expect(headers['cache-control'], path).toMatch(/private|no-store/);
		}
	});
});

describe('what is guessed', () => {
	it('a password: a few wrong ones hold its name back, in the same words as for a name that nobody has', async () => {
		const guess = async (name: string) => {
			const { text, status } = await shop.ask('/sign-in', {
				method: 'POST',
				headers: {
					...asForm,
					origin: shop.origin,
					'content-type': 'application/x-www-form-urlencoded',
					'x-forwarded-for': '203.0.113.9'
				},
				body: new URLSearchParams({ userName: name, password: 'not this one' }).toString()
			});
			return `${status} ${/(is wrong|Too many attempts)/.exec(text)?.[0]}`;
		};
		const known: string[] = [];
		const unknown: string[] = [];
		for (let i = 0; i < 12; i++) {
			known.push(await guess(userName('reader')));
			unknown.push(await guess('nobody.at.all'));
		}
		expect(known).toEqual(unknown);
		expect(known.slice(0, 10)).toEqual(Array(10).fill('200 is wrong'));
		expect(known.at(-1)).toBe('200 Too many attempts');
		await rows('delete from attempt');
		// Whoever it was tried on is told, and nobody else but the owner.
		const activityOf = async (role: Role) =>
			(await shop.ask('/account', { cookie: await shop.signIn(role) })).text;
		expect(await activityOf('reader')).toContain('sign-in refused');
		expect(await activityOf('helper')).not.toContain('sign-in refused');
	});
	it('a PIN: it is locked after a few, and the bench still works', async () => {
		let cookie = await shop.signIn('owner', true);
		const pick = async (person: string, pin: string) => {
			const answer = await shop.form('/bench?/pick', { person, pin }, cookie);
			if (answer.cookie) ({ cookie } = answer as { cookie: string });
			return /(PIN is wrong|Too many attempts)/.exec(answer.text)?.[0] ?? answer.status;
		};
		const wrong: unknown[] = [];
		for (let i = 0; i < 7; i++) wrong.push(await pick(shop.people.helper, `${8100 + i}`));
		expect(wrong.slice(0, 5)).toEqual(Array(5).fill('PIN is wrong'));
		expect(wrong.slice(5)).toEqual(['Too many attempts', 'Too many attempts']);
		expect(await pick(shop.people.helper, PIN)).toBe('Too many attempts');
		const before = cookie;
		expect(await pick(shop.people.machinist, PIN)).toBe(303);
		expect(cookie).not.toBe(before);
		expect((await shop.ask('/', { cookie: before })).status).toBe(303);
		expect((await shop.ask(api, asJson(reading(shop.people.machinist, 2), cookie))).status).toBe(
			200
		);
		// By a PIN an owner does what a machinist may.
		expect(await pick(shop.people.owner, PIN)).toBe(303);
		expect((await shop.ask('/people', { cookie })).status).toBe(403);
		expect((await shop.form('/bench?/leave', {}, cookie)).status).toBe(303);
		await rows('delete from attempt');
	});
	it('a PIN typed right at four places of a bench at once leaves the bench signed in', async () => {
		let cookie = await shop.signIn('owner', true);
		const taken = await Promise.all(
			Array.from({ length: 4 }, () =>
				shop.form('/bench?/pick', { person: shop.people.machinist, pin: PIN }, cookie)
			)
		);
		// A browser goes on with the last cookie that it was given.
		const given = taken.flatMap((answer) => answer.cookie ?? []);
		expect(given).toHaveLength(1);
		cookie = given[0]!;
		expect((await shop.ask('/', { cookie })).status).toBe(200);
		await rows('delete from attempt');
	});
	it('a link or a code: it is one of so many that nobody finds it, and none is told apart from one that ended', async () => {
		const never = await shop.ask(`/shared/${'x'.repeat(43)}`);
		expect(never.status).toBe(404);
		const code = await invited(shop, shop.people.reader, 'reader');
		await rows('update invitation set until = now()');
		const texts = await Promise.all(
			[code, 'AAAA-BBBB-CCCC-DDDD'].map(async (one) => {
				const { text } = await shop.ask(`/join?code=${one}`);
				return /Unknown code[^<]*/.exec(text)?.[0];
			})
		);
		expect(texts[0]).toBeDefined();
		expect(texts[0]).toBe(texts[1]);
		await rows('delete from attempt');
	});
});

describe('in the name of', () => {
	it('nobody else is anything sent', async () => {
		const cookie = await shop.signIn('machinist');
		const sent = reading(shop.people.helper, 3);
		const answer = await shop.ask(api, asJson(sent, cookie));
		expect([answer.status, answer.text]).toEqual([403, expect.stringContaining('other-person')]);
		expect(await rows('select 1 from reading where id = $1', [sent['id']])).toEqual([]);
		const note = {
			id: sent['id'],
			text: 'n',
			private: false,
			blocksSignOff: false,
			person: shop.people.helper,
			at: new Date().toISOString()
		};
		const entry = await shop.ask(`/api/jobs/${job.id}/entries/notes`, asJson(note, cookie));
		expect([entry.status, entry.text]).toEqual([403, expect.stringContaining('other-person')]);
		const own = await shop.signIn('helper');
		expect((await shop.ask(api, asJson(sent, own))).status).toBe(200);
		expect(await rows('select person_id from reading where id = $1', [sent['id']])).toEqual([
			{ person_id: shop.people.helper }
		]);
	});
	it('one who was shown the door is nothing done any more, wherever they were signed in', async () => {
		const cookie = await shop.signIn('reader');
		const bench = await shop.signIn('reader', true);
		const owner = await shop.signIn('owner');
		const ended = await shop.form('/people?/end', { person: shop.people.reader }, owner);
		expect(ended.status).toBe(200);
		for (const one of [cookie, bench])
			expect((await shop.ask('/', { cookie: one })).status).toBe(303);
		await expect(shop.signIn('reader')).rejects.toThrow('could not sign in');
		const last = await shop.form('/people?/end', { person: shop.people.owner }, owner);
		expect([last.status, last.text]).toEqual([400, expect.stringContaining('needs an owner')]);
		const [{ count }] = (await rows(
			`select count(*)::int as count from audit where what = 'sign-in-ended' and about->>'whom' = $1`,
			[shop.people.reader]
		)) as [{ count: number }];
		expect(count).toBe(1);
		await rows('delete from attempt');
	});
	it('a session ends after a working day without use at a bench, and after thirty days elsewhere', async () => {
		const bench = await shop.signIn('helper', true);
		const own = await shop.signIn('helper');
		const unused = async (hours: number) => {
			await rows(`update session set used_at = now() - make_interval(hours => $1)`, [hours]);
			const status = async (cookie: string) => (await shop.ask('/', { cookie })).status;
			return [await status(bench), await status(own)];
		};
		expect(await unused(11)).toEqual([200, 200]);
		expect(await unused(13)).toEqual([303, 200]);
		expect(await unused(24 * 31)).toEqual([303, 303]);
	});
	it('the trail says who did what, and nobody changes it', async () => {
		const owner = await shop.signIn('owner');
		await shop.ask(`/jobs/${job.id}/file`, { cookie: owner });
		const { text } = await shop.ask('/audit', { cookie: owner });
		for (const what of ['signed in', 'joined', 'PIN refused', 'took out', 'sign-in ended'])
			expect(text).toContain(what);
		await expect(rows('delete from audit')).rejects.toThrow('append-only');
		await expect(rows(`update audit set what = 'joined'`)).rejects.toThrow('append-only');
	});
});

describe('a link for the customer', () => {
	it('opens the customer’s copy and nothing else, is counted, and ends', async () => {
		const cookie = await shop.signIn('machinist');
		const [sheet] = await rows('select id, job_id from signed_sheet limit 1');
		const at = `/api/jobs/${String(sheet!.job_id)}/shares`;
		const make = async (days: number) => {
			const { text } = await shop.ask(at, asJson({ sheet: sheet!.id, days }, cookie));
			return new URL((JSON.parse(text) as { link: string }).link).pathname;
		};
		const link = await make(30);
		const page = await shop.ask(link);
		expect([page.status, page.headers['x-robots-tag']]).toEqual([200, 'noindex']);
		expect(page.text).not.toContain(String(sheet!.job_id));
		const paper = await shop.ask(`${link}/sheet.pdf`);
		expect([paper.status, paper.headers['content-type']]).toEqual([200, 'application/pdf']);
		expect((await shop.ask(`${link}/__data.json`)).text).not.toContain('readings');
		const [counted] = (JSON.parse((await shop.ask(at, { cookie })).text) as { shares: object[] })
			.shares;
		expect(counted).toMatchObject({ opened: 3 });
		// Paper is laid out some times a minute, and each time counts.
		const another = await make(30);
		const many = await Promise.all(
			Array.from({ length: 40 }, async () => (await shop.ask(`${another}/sheet.pdf`)).status)
		);
		expect(many.filter((status) => status === 200)).toHaveLength(10);
		expect(many.filter((status) => status === 429)).toHaveLength(30);
		// It lets nobody in anywhere else.
		expect((await shop.ask(`/jobs/${String(sheet!.job_id)}`)).status).toBe(303);

		const { id } = counted as { id: string };
		const ended = await shop.ask(at, { ...asJson({ id }, cookie), method: 'DELETE' });
		expect(ended.status).toBe(200);
		expect((await shop.ask(link)).status).toBe(404);
		expect((await shop.ask(`${link}/sheet.pdf`)).status).toBe(404);
		const late = await make(1);
		await rows(`update share set until = now() - interval '1 second' where ended_at is null`);
		expect((await shop.ask(late)).status).toBe(404);
		const stored = await rows('select key from share');
		expect(stored.some(({ key }) => link.includes(String(key)))).toBe(false);
	});
	it('figures of the server take a token of their own', async () => {
		const asked = (authorization?: string) =>
			shop.ask('/metrics', authorization ? { headers: { authorization } } : {});
		expect((await asked()).status).toBe(401);
		expect((await asked('Bearer a guess')).status).toBe(401);
		const { status, text } = await asked('Bearer a token for figures');
		expect(status).toBe(200);
		expect(text).toMatch(/zinc_request_seconds_count\{route="\/sign-in",method="POST"/);
		// Who was sent to sign in is counted too.
		expect((await shop.ask('/people')).status).toBe(303);
		const after = await shop.ask('/metrics', {
			headers: { authorization: 'Bearer a token for figures' }
		});
		expect(after.text).toMatch(
			/zinc_request_seconds_count\{route="\/people",method="GET",status="303"/
		);
		const ready = JSON.parse((await shop.ask('/readyz')).text) as object;
		expect(ready).toMatchObject({ database: 'well', disk: 'well', gauges: 'none' });
	});
});
