/**
 * Every route, method and action of the application, asked by everybody: by nobody who
 * signed in, and by somebody of each role. What passes is exactly what the table allows.
 */
import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { LISTS, NEEDS, needOf, type Need } from '../web/src/lib/access/needs.ts';
import { query } from './support/app.ts';
import { ROLES, startShop, type Answer, type Role, type Shop } from './support/shop.ts';
import { targets } from './support/targets.ts';

const job = JSON.parse(readFileSync('demo/jobs/2417-straight-six.json', 'utf8')) as { id: string };

let shop: Shop;
const cookies: Partial<Record<Role, string>> = {};
beforeAll(async () => {
	shop = await startShop();
	for (const role of ROLES) cookies[role] = await shop.signIn(role);
});
afterAll(() => shop.stop());

/** The address of a route, of something that need not be there. */
const pathOf = (route: string, list = 'notes') =>
	route.replace(/\[(\w+)(?:=\w+)?\]/g, (_, name: string) =>
		name === 'list' ? list : name === 'label' ? '1I' : name === 'id' ? job.id : job.id
	);

interface Attempt {
	readonly route: string;
	readonly method: string;
	readonly path: string;
	/** The action, or the list of entries. */
	readonly what: string;
}

/** Everything that can be asked for: reading each route, each method it has, each action, each list. */
function attempts(): Attempt[] {
	return targets().flatMap(({ path: route, methods, actions }) => [
		...methods.flatMap((method) =>
			(route.endsWith('[list]') ? [...Object.keys(LISTS), 'unheard-of'] : ['']).map((what) => ({
				route,
				method,
				path: pathOf(route, what),
				what
			}))
		),
		...actions.map((action) => ({
			route,
			method: 'POST',
			path: `${pathOf(route)}${action === 'default' ? '' : `?/${action}`}`,
			what: action
		}))
	]);
}

/** Sign-out, last of all: it would end the session that the rest is asked with. */
const LAST = new Set(['out', 'everywhere']);

/** Whether the gate let a request pass; what lies behind it may still refuse it for what it is. */
function passed({ status, text, headers }: Answer): boolean {
	if (status === 303) return !/^\/(sign-in|bench)\?back=/.test(String(headers.location));
	if (status === 401 && !text.includes('access.sign-in-first')) return true;
	return status !== 401 && !text.includes('access.not-allowed') && !/Not for an? /.test(text);
}

const allowed = (need: Need | null, role: Role | null) =>
	need !== null &&
	(need === 'anyone' ||
		(role !== null && (need === 'session' || ROLES.indexOf(role) >= ROLES.indexOf(need))));

describe('who may do what', () => {
	it('is said of everything that changes something, and of nothing that is not there', () => {
		const all = attempts();
		const unsaid = all.filter(({ route, method, path }) => {
			const list = /entries\/([^?]*)/.exec(path)?.[1];
			return needOf({ route, method, url: new URL(path, 'http://x'), list }) === null;
		});
		expect(unsaid.map(({ method, path }) => `${method} ${path}`)).toEqual([]);
		const there = new Set(
			all.flatMap(({ route, method, what }) => [`${route} ${method}`, `${route} ${what}`])
		);
		const gone = Object.entries(NEEDS).flatMap(([route, of]) =>
			Object.keys(of)
				.filter((key) => !there.has(`${route} ${key}`))
				.map((key) => `${route} ${key}`)
		);
		expect(gone).toEqual([]);
	});

	it.each([null, ...ROLES])('%s: exactly what the table allows passes', async (role) => {
		const all = attempts().filter(({ what }) => !LAST.has(what));
		expect(all.length).toBeGreaterThan(120);
		const wrong: string[] = [];
		let passes = 0;
		for (const { route, method, path, what } of all) {
			const isForm = method === 'POST' && !route.startsWith('/api/');
			const answer = await shop.ask(path, {
				method,
				cookie: role ? cookies[role] : undefined,
				headers: {
					...(method !== 'GET' && { origin: shop.origin }),
					...(method !== 'GET' && {
						'content-type': isForm ? 'application/x-www-form-urlencoded' : 'application/json'
					}),
					...(isForm && { accept: 'application/json', 'x-sveltekit-action': 'true' })
				},
				body: method === 'GET' || isForm ? '' : '{}'
			});
			const need = needOf({
				route,
				method,
				url: new URL(path, shop.origin),
				list: route.endsWith('[list]') ? what : undefined
			});
			const isPassed = passed(answer);
			if (isPassed) passes++;
			if (isPassed !== allowed(need, role) || answer.status >= 500)
				wrong.push(
					`${method} ${path} needs ${need}: ${answer.status} ${answer.text.slice(0, 120)}`
				);
		}
		expect(wrong).toEqual([]);
		expect(passes).toBeGreaterThan(role === null ? 5 : 60);
	});

	it.each(['out', 'everywhere'])('%s: takes a session', async (action) => {
		expect(passed(await shop.form(`/account?/${action}`, {}))).toBe(false);
		const cookie = await shop.signIn('reader');
		expect(passed(await shop.form(`/account?/${action}`, {}, cookie))).toBe(true);
		const after = await shop.ask('/', { cookie });
		expect([after.status, after.headers.location]).toEqual([303, '/sign-in?back=%2F']);
	});

	it('a helper measures, but signs nothing and accepts no stop; a reader changes nothing', async () => {
		const need = (route: string, method: string, list?: string) =>
			needOf({ route, method, url: new URL('http://x/'), list });
		const of = '/api/jobs/[id=uuid]';
		expect(need(`${of}/readings`, 'POST')).toBe('helper');
		expect(need(`${of}/entries/[list]`, 'POST', 'acceptances')).toBe('machinist');
		expect(need(`${of}/signed`, 'POST')).toBe('machinist');
		expect(need('/policies', 'POST')).toBe('owner');
		expect(need('/people', 'GET')).toBe('owner');
		const forReaders = attempts().filter(({ route, method, path }) => {
			const asked = { route, method, url: new URL(path, 'http://x'), list: undefined };
			return method !== 'GET' && allowed(needOf(asked), 'reader');
		});
		// Their own sign-in, their bench and how they read: no job, part or policy.
		expect([...new Set(forReaders.map(({ route }) => route))].toSorted()).toEqual([
			'/account',
			'/api/bench',
			'/bench',
			'/join',
			'/sign-in'
		]);
	});

	it('what nobody may is refused, wherever it is sent', async () => {
		const before = await query(shop, 'select count(*) from reading');
		for (const [method, path] of [
			['POST', '/calculators'],
			['PUT', '/jobs/new'],
			['DELETE', `/api/jobs/${job.id}/readings`],
			['POST', '/parts?/constructor']
		] as const) {
			const headers = { origin: shop.origin, 'content-type': 'application/json' };
			const { status } = await shop.ask(path, {
				method,
				cookie: cookies.owner,
				headers,
				body: '{}'
			});
			expect(status, path).toBeGreaterThanOrEqual(400);
			expect(status, path).toBeLessThan(500);
		}
		expect(await query(shop, 'select count(*) from reading')).toEqual(before);
	});
});
