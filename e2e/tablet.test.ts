/** A tablet on the shop's network, over TLS: signed in at a shared bench, cut off, back again. */
import { readFileSync } from 'node:fs';
import { Secret, TOTP } from 'otpauth';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freePort, query, until } from './support/app.ts';
import { AWAY, Browser, Key } from './support/browser.ts';
import { ADDRESS, startProxy, type Proxy } from './support/proxy.ts';
import { invited, NAME, PASSWORD, PIN, startShop, userName, type Shop } from './support/shop.ts';
import { wrongAtWidths } from './support/widths.ts';
import { operator } from './support/pages/operator.ts';
import { outbox } from './support/pages/outbox.ts';

const job = JSON.parse(readFileSync('demo/jobs/2417-straight-six.json', 'utf8')) as { id: string };
const path = `/jobs/${job.id}`;

let shop: Shop;
let proxy: Proxy;
let tablet: Browser;
beforeAll(async () => {
	const port = await freePort();
	shop = await startShop(port);
	proxy = await startProxy(port, [Number(new URL(shop.url).port)]);
	const abroad = { name: NAME, address: ADDRESS, home: proxy.home };
	tablet = await Browser.open(shop.origin, { keepsProgram: true, abroad });
	await tablet.size(1024, 768);
});
afterAll(async () => {
	await tablet?.close();
	await proxy?.stop();
	await shop?.stop();
});

/** Lobe lifts that were read since the test began, with whose they are. */
const kept = async () =>
	(
		(await query(
			shop,
			`select read, person_id from reading where job_id = $1 and quantity = 'seal-gap-at-lift' order by position`,
			[job.id]
		)) as { read: string; person_id: string }[]
	).map(({ read, person_id }) => `${read} ${person_id}`);
const of = (person: keyof Shop['people'], ...read: string[]) =>
	read.map((one) => `${one} ${shop.people[person]}`);

const signIn = async (role: 'machinist' | 'owner') => {
	await tablet.fill('User name', userName(role));
	await operator(tablet).password(PASSWORD);
};
const takeOver = async (name: string, initials: string) => {
	await tablet.click(name, 'button');
	await tablet.fill(`PIN of ${initials}`, PIN);
	await operator(tablet).takeOver();
};
const initialsOf = async (role: keyof Shop['people']) =>
	(
		(await query(shop, 'select name, initials from person where id = $1', [shop.people[role]])) as [
			{ name: string; initials: string }
		]
	)[0];

describe('a tablet at a shared bench', () => {
	it('asks to sign in before anything is shown, over TLS with HTTP/2', async () => {
		await tablet.go(path);
		await tablet.sees('Sign in');
		const page = await tablet.text();
		expect(page).not.toContain('2417');
		expect(
			await tablet.run(
				'return [isSecureContext, location.protocol, performance.getEntriesByType("navigation")[0].nextHopProtocol]'
			)
		).toEqual([true, 'https:', 'h2']);
		await signIn('machinist');
		await operator(tablet).shared();
		await operator(tablet).signIn();
		await tablet.sees('2417');
		expect(new URL(await tablet.driver.getCurrentUrl()).pathname).toBe(path);
	});

	it('goes on measuring while the server is away, and each figure is stored once, under whoever read it', async () => {
		await until(
			() => tablet.run<boolean>('return navigator.serviceWorker.controller !== null'),
			'no service worker took the page over'
		);
		await tablet.beginRound(path, 'seal-gap-at-lift');
		await tablet.press('0.110', Key.ENTER);
		await until(async () => (await kept()).length === 1);
		tablet.expects(AWAY);
		await shop.stop();
		await tablet.press('0.112', Key.ENTER);
		await tablet.press('0.114', Key.ENTER);
		await outbox(tablet).two();
		await tablet.go(`${path}/round?of=seal-gap-at-lift`);
		await outbox(tablet).two();
		await shop.start();
		await until(async () => (await kept()).length === 3, 'what was typed meanwhile was not sent');
		expect(await kept()).toEqual(of('machinist', '0.110 in', '0.112 in', '0.114 in'));
	});

	it('keeps what was typed after the session ended for whoever typed it, and sends it under no other name', async () => {
		await tablet.beginRound(path, 'seal-gap-at-lift');
		tablet.expects(/status of 401/);
		await query(shop, 'delete from session');
		await tablet.press('0.116', Key.ENTER);
		await tablet.sees('Sign in to send it');
		expect(await kept()).toHaveLength(3);

		await operator(tablet).whoIsHere();
		await tablet.sees('Password');
		await tablet.ready();
		await signIn('owner');
		await operator(tablet).shared();
		await operator(tablet).signIn();
		await operator(tablet).asksWho();
		await tablet.go(path);
		await tablet.sees('1 unsent by somebody else');
		expect(await kept()).toHaveLength(3);

		await operator(tablet).whoIsHere();
		await operator(tablet).asksWho();
		await tablet.ready();
		const machinist = await initialsOf('machinist');
		await takeOver(machinist.name, machinist.initials);
		await until(
			async () => (await kept()).length === 4,
			'it was not sent once its writer was back'
		);
		expect((await kept()).at(-1)).toBe(of('machinist', '0.116 in')[0]);
	});

	it('changes hands by PIN, and every figure is of whoever is there', async () => {
		await tablet.go('/bench');
		const helper = await initialsOf('helper');
		await tablet.click(helper.name, 'button');
		expect(await tablet.run('return document.activeElement.name')).toBe('pin');
		await tablet.fill(`PIN of ${helper.initials}`, '9182');
		await operator(tablet).takeOver();
		await tablet.sees('PIN is wrong');
		await tablet.fill(`PIN of ${helper.initials}`, PIN);
		await operator(tablet).takeOver();
		await until(async () => new URL(await tablet.driver.getCurrentUrl()).pathname === '/');
		await tablet.beginRound(path, 'seal-gap-at-lift');
		await tablet.press('0.118', Key.ENTER);
		await until(async () => (await kept()).length === 5, 'the helper’s figure was not stored');
		expect((await kept()).at(-1)).toBe(of('helper', '0.118 in')[0]);
	});

	it('says on a page that a role may only read whose work it is, and on others nothing', async () => {
		const noticeOn = async (path: string) => {
			await tablet.go(path);
			return /You are here as [^.]*\./.exec(await tablet.text())?.[0];
		};
		const page = `You are here as a helper: changing what is here takes`;
		expect(await noticeOn(`${path}/plan`)).toBe(`${page} a machinist.`);
		expect(await noticeOn('/policies')).toBe(`${page} an owner.`);
		expect(await noticeOn(`${path}/checks`)).toBeUndefined();
		const machinist = await initialsOf('machinist');
		await tablet.go('/bench');
		await takeOver(machinist.name, machinist.initials);
		await until(async () => new URL(await tablet.driver.getCurrentUrl()).pathname === '/');
		expect(await noticeOn(`${path}/plan`)).toBeUndefined();
	});
});

describe('a password that is chosen', () => {
	it('says how hard it is to guess, and is looked at when wanted', async () => {
		const code = await invited(shop, shop.people.reader, 'reader');
		await tablet.go(`/join?code=${code}`);
		await operator(tablet).password('password1234');
		await tablet.sees('easily guessed');
		await operator(tablet).password('four plain words in a row');
		await tablet.sees('very hard to guess');
		const shown = async () => (await tablet.field('Password')).getAttribute('type');
		expect(await shown()).toBe('password');
		await tablet.click('Show password', 'button');
		expect(await shown()).toBe('text');
		await tablet.click('Hide password', 'button');
		expect(await shown()).toBe('password');
	});
});

describe('a second factor', () => {
	const later = (secret: string, periods: number) =>
		new TOTP({ secret: Secret.fromBase32(secret) }).generate({
			timestamp: Date.now() + periods * 30_000
		});
	const signInAsOwner = async () => {
		await query(shop, 'delete from session');
		await tablet.go('/sign-in');
		await signIn('owner');
		await operator(tablet).signIn();
	};
	const atHome = () =>
		until(async () => new URL(await tablet.driver.getCurrentUrl()).pathname === '/');
	const trail = async () =>
		(
			(await query(
				shop,
				`select what from audit where person_id = $1 or about->>'whom' = $1::text order by position desc limit 4`,
				[shop.people.owner]
			)) as { what: string }[]
		).map(({ what }) => what);

	it('is turned on once the phone is shown to work, and asked for at the next sign-in', async () => {
		await signInAsOwner();
		await atHome();
		await tablet.go('/account');
		await tablet.click('Set up', 'button');
		await tablet.sees('Point an app');
		const secret = await tablet.text('[data-secret]');
		const on = 'form[action="?/secondOn"]';
		const tell = async (code: string, password: string) => {
			await operator(tablet).code(code);
			const field = await tablet.find(`${on} input[name=present]`);
			await field.sendKeys(Key.chord(Key.CONTROL, 'a'), password);
			await tablet.click('Turn on', 'button');
		};
		await tell('000000', PASSWORD);
		await tablet.sees('That code is wrong or was already used');
		expect(await tablet.text('[data-secret]')).toBe(secret);
		await tell(later(secret, 0), 'not my password');
		await tablet.sees('Not your present password');
		const used = later(secret, 0);
		await tell(used, PASSWORD);
		await tablet.sees('Turned on.');

		await signInAsOwner();
		await tablet.sees('The six digits');
		expect(await tablet.run('return document.activeElement.name')).toBe('code');
		// What turned it on was used up by that.
		await operator(tablet).code(used);
		await operator(tablet).signIn();
		await tablet.sees('Enter the next one');
		await operator(tablet).code(later(secret, 1));
		await operator(tablet).signIn();
		await atHome();
		expect(await trail()).toEqual([
			'signed-in',
			'sign-in-refused',
			'second-factor-on',
			'signed-in'
		]);
	});

	it('is not turned off by the password alone', async () => {
		await tablet.go('/account');
		const field = await tablet.find('form[action="?/secondOff"] input[name=present]');
		await field.sendKeys(PASSWORD);
		await operator(tablet).code('000000');
		await tablet.click('Turn off', 'button');
		await tablet.sees('That code is wrong or was already used');
		const [kept] = await query(
			shop,
			'select second_factor is not null as is from sign_in where person_id = $1',
			[shop.people.owner]
		);
		expect(kept).toEqual({ is: true });
	});

	it('is gone with the code that an owner hands out, as where a phone was lost', async () => {
		const code = await invited(shop, shop.people.owner, 'owner');
		const fields = { code, userName: userName('owner'), password: PASSWORD, pin: PIN };
		expect((await shop.form('/join', fields)).cookie).not.toBeNull();
		await signInAsOwner();
		await atHome();
	});
});

describe('the pages of sign-in, people and customers', () => {
	it('are whole at every width and have nothing serious for axe in either scheme', async () => {
		const code = await invited(shop, shop.people.reader, 'reader');
		const wrong = await wrongAtWidths(tablet, '/bench');
		await query(shop, 'delete from session');
		for (const path of ['/sign-in', '/join', `/join?code=${code}`])
			wrong.push(...(await wrongAtWidths(tablet, path)));
		await tablet.size(1024, 768);
		await tablet.go('/sign-in');
		await signIn('owner');
		await operator(tablet).signIn();
		await until(async () => new URL(await tablet.driver.getCurrentUrl()).pathname === '/');
		for (const path of ['/people', '/audit', '/account'])
			wrong.push(...(await wrongAtWidths(tablet, path)));
		const [sheet] = (await query(shop, 'select id, job_id from signed_sheet limit 1')) as [
			{ id: string; job_id: string }
		];
		const made = await tablet.api('POST', `/api/jobs/${sheet.job_id}/shares`, {
			sheet: sheet.id,
			days: 7
		});
		const { link } = made.body as { link: string };
		for (const path of [new URL(link).pathname, `/jobs/${sheet.job_id}/sign`])
			wrong.push(...(await wrongAtWidths(tablet, path)));
		expect(wrong).toEqual([]);
	});
});
