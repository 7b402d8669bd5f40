/** Slips of the hand, hostile requests and broken files: a clear word at the place, nothing lost. */
import { readFileSync } from 'node:fs';
import { beforeAll, describe, expect, it } from 'vitest';
import { query, until } from './support/app.ts';
import { Browser, Key } from './support/browser.ts';
import { withoutDatabase } from './support/without-database.ts';
import { visit } from './support/visit.ts';
import { outbox } from './support/pages/outbox.ts';
import { setup } from './support/pages/setup.ts';
import { shop } from './support/pages/shop.ts';

const at = visit('demo');
const demo = readFileSync('demo/jobs/2417-straight-six.json', 'utf8');

let path = '';
beforeAll(async () => {
	await at.browser.workAs('Kelso Lind');
	path = await at.browser.openJob('2417');
});

const readings = async () =>
	(await query(at.app, 'select read, station from reading where job_id = $1 order by position', [
		path.split('/')[2]
	])) as { read: string; station: string }[];

describe('slips in a round', () => {
	it.each([
		['18x12', 'is not a figure'],
		['-1.812', 'cannot be negative'],
		['1,81,2', 'Two decimal marks'],
		['1.8123456', 'More decimals than any gauge']
	])('says of %s that it %s, and keeps nothing', async (typed, words) => {
		const { browser } = at;
		await browser.beginRound(path);
		const before = (await readings()).length;
		await browser.press(typed);
		await browser.sees(words);
		await browser.press(Key.ENTER);
		await browser.sees(words);
		expect((await readings()).length).toBe(before);
	});

	it('asks about a slipped digit, and keeps it only on a second Enter', async () => {
		const { browser } = at;
		await browser.beginRound(path);
		const before = (await readings()).length;
		await browser.press('1182', Key.ENTER);
		await browser.sees('Outside expected range');
		expect((await readings()).length).toBe(before);
		await browser.retype('1821');
		await browser.sees('Read as 1.821 in');
		expect(await browser.text('#understood')).not.toContain('Outside');
		await browser.press(Key.ENTER);
		await until(async () => (await readings()).length === before + 1);
		expect((await readings()).at(-1)).toEqual({ read: '1.821 in', station: '5I' });
	});
});

describe('requests the page would never make', () => {
	const job = JSON.parse(demo) as { readings: Record<string, unknown>[] };
	const reading = (change: object) => ({
		...job.readings[0],
		id: '0197a111-0000-7000-8000-000000000001',
		...change
	});
	it.each([
		['a station that does not exist', { station: '9I' }, 404, 'there is no station 9I'],
		['a negative height', { read: '-1.8 in' }, 400, 'read: '],
		['an unknown unit', { read: '1.8 ft' }, 400, 'length'],
		['a wrong type', { read: 1812 }, 400, 'read: '],
		['a quantity nobody measures', { quantity: 'colour' }, 400, 'quantity: '],
		['fields of its own', { admin: true }, 400, 'admin']
	])('%s is refused', async (_, change, status, words) => {
		const answer = await at.browser.api('POST', `/api${path}/readings`, reading(change));
		expect(answer.status).toBe(status);
		expect(JSON.stringify(answer.body)).toContain(words);
	});
	it('half a body, a job that is not there and an unknown page are 4xx', async () => {
		const { browser } = at;
		expect((await browser.api('POST', `/api${path}/readings`, '{"id": "0197')).status).toBe(400);
		const nobody = '/api/jobs/0197a111-0000-7000-8000-000000000002/readings';
		expect((await browser.api('POST', nobody, reading({}))).status).toBe(404);
		expect((await browser.api('GET', '/no/such/page')).status).toBe(404);
		expect((await browser.api('GET', '/jobs/not-an-id')).status).toBe(404);
	});
	it('the same reading twice is stored once', async () => {
		const before = (await readings()).length;
		const twice = reading({ read: '1.820 in', station: '1I' });
		for (let i = 0; i < 2; i++) {
			expect((await at.browser.api('POST', `/api${path}/readings`, twice)).status).toBe(200);
		}
		expect((await readings()).length).toBe(before + 1);
	});
});

describe('job files', () => {
	async function open(name: string, text: string) {
		const { browser } = at;
		await browser.go('/');
		await browser.run(
			`const [name, text] = arguments;
			const input = document.querySelector('input[type=file]');
			const data = new DataTransfer();
			data.items.add(new File([text], name, { type: 'application/json' }));
			input.files = data.files;
			input.dispatchEvent(new Event('change', { bubbles: true }));`,
			name,
			text
		);
	}
	const jobs = async () => (await query(at.app, 'select 1 from job')).length;

	it('cut off in the middle: says so with the line, takes nothing', async () => {
		const before = await jobs();
		await open('cut.json', demo.slice(0, 6000));
		await at.browser.sees('cut.json: import failed; nothing was changed');
		await outbox(at.browser).cutOff();
		expect(await jobs()).toBe(before);
	});
	it('with unknown units: names every place', async () => {
		const before = await jobs();
		await open('feet.json', demo.replaceAll('"1.820 in"', '"1.820 ft"'));
		await at.browser.sees('setup.kinds.intake.spring.seat.height');
		await at.browser.sees('setup.kinds.exhaust.spring.seat.height');
		expect(await jobs()).toBe(before);
	});
	it('already in the book: changes nothing', async () => {
		await open('again.json', demo);
		await at.browser.sees('is already imported; nothing was changed');
	});
	it('saved and opened in another book, it is the same file', async () => {
		const { browser } = at;
		const twinCam = await browser.openJob('2409');
		const saved = await browser.run<string>(
			'const r = new XMLHttpRequest(); r.open("GET", arguments[0], false); r.send(); return r.responseText',
			`${twinCam}/file`
		);
		expect(JSON.parse(saved)).toEqual(
			JSON.parse(readFileSync('demo/jobs/2409-twin-cam.json', 'utf8'))
		);
	});
});

describe('two people at one head', () => {
	it('both readings are kept, and the difference is remarked on', async () => {
		const { app, browser } = at;
		const other = await Browser.open(app.url);
		try {
			await other.workAs('Idun Moss');
			await browser.beginRound(path);
			await other.beginRound(path);
			await browser.press('1820', Key.ENTER);
			await browser.sees('Last: 5E, 1.820 in');
			await other.press('1832', Key.ENTER);
			await other.sees('Last: 5E, 1.832 in');
			await browser.go(`${path}?at=5E`);
			await browser.sees('Read by two people, 0.012 apart: void one or read again');
			const there = (await readings()).filter((reading) => reading.station === '5E');
			expect(there.map((reading) => reading.read).sort()).toEqual(['1.820 in', '1.832 in']);
		} finally {
			await other.close();
		}
	});

	it('the later of two set-ups is told that somebody was first', async () => {
		const { app, browser } = at;
		const other = await Browser.open(app.url);
		try {
			await other.workAs('Idun Moss');
			await other.go(`${path}/setup`);
			await browser.go(`${path}/setup`);
			await setup(browser).duty('hill climb, wet');
			await setup(browser).save();
			await setup(browser).saved();
			await setup(other).duty('sprint');
			await setup(other).save();
			await other.sees('Somebody else changed');
			expect(await (await other.field('use.duty')).getAttribute('value')).toBe('sprint');
		} finally {
			await other.close();
		}
	});
});

describe('the database goes away in the middle of a round', () => {
	it('keeps the typed figure, says that it waits, and stores it once', async () => {
		const { browser } = at;
		await browser.beginRound(path);
		const before = await readings();
		await withoutDatabase(async () => {
			await browser.press('1819', Key.ENTER);
			await outbox(browser).away();
			await browser.sees('unsent');
			await browser.press('1823', Key.ENTER);
			await browser.sees('2 figures wait in this browser');
			const health = await browser.api('GET', '/healthz');
			expect(health.status).toBe(503);
			await browser.go('/');
			await browser.sees('Database unavailable.');
		});
		await shop(browser).open();
		await browser.go(path);
		await until(async () => (await readings()).length === before.length + 2);
		const fresh = (await readings()).slice(before.length);
		expect(fresh).toEqual([
			{ read: '1.819 in', station: '6I' },
			{ read: '1.823 in', station: '6E' }
		]);
	});

	it('answers every question that it falls away under', async () => {
		const { app } = at;
		const ask = () =>
			fetch(app.url + path).then(
				({ status }) => status,
				() => 'no answer'
			);
		const answers: ReturnType<typeof ask>[] = [];
		// Some are always on their way, and never so many that the page itself takes long.
		let open = 0;
		const asking = setInterval(() => {
			if (open >= 10) return;
			open++;
			answers.push(ask().finally(() => open--));
		}, 5);
		try {
			await until(async () => answers.length > 20);
			await withoutDatabase(() => until(async () => (await ask()) === 503));
			await until(async () => (await ask()) === 200);
		} finally {
			clearInterval(asking);
		}
		expect(new Set(await Promise.all(answers))).toEqual(new Set([200, 503]));
	});
});

describe('a form sent while nobody can take it', () => {
	const value = async (name: string) => (await at.browser.field(name)).getAttribute('value');

	it('stays as it was typed while the database is away, and is taken once it is back', async () => {
		const { browser } = at;
		await browser.go('/jobs/new');
		await browser.click('More: number', 'button');
		await browser.fill('number', '2901');
		await browser.fill('customer', 'Isolde Marr');
		await browser.fill('engine', 'Orveld 2.2');
		await withoutDatabase(async () => {
			await browser.press(Key.ENTER);
			await browser.sees('Database unavailable. Your entries are kept');
			expect(await value('customer')).toBe('Isolde Marr');
		});
		await browser.press(Key.ENTER);
		const path = await browser.takenIn();
		expect(await browser.text()).not.toContain('unavailable');
		await browser.go(`${path}/setup`);
	});

	it('stays as it was typed while the server is away, and is taken once it is back', async () => {
		const { app, browser } = at;
		await setup(browser).duty('hill climb');
		await app.stop();
		try {
			await setup(browser).save();
			await browser.sees('The server cannot be reached. Your entries are kept');
			expect(await value('use.duty')).toBe('hill climb');
		} finally {
			await app.start();
		}
		await setup(browser).save();
		await setup(browser).saved();
		await browser.go(new URL(await browser.driver.getCurrentUrl()).pathname);
		expect(await value('use.duty')).toBe('hill climb');
	});
});
