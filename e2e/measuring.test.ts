/** Measuring for real: repeats, a gauge alone, two benches on one head, the server away. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { query, until } from './support/app.ts';
import { withoutDatabase } from './support/without-database.ts';
import { visit } from './support/visit.ts';
import { Browser, Key } from './support/browser.ts';
import { outbox } from './support/pages/outbox.ts';
import { round } from './support/pages/round.ts';

const at = visit('demo', { gauges: true, keepsProgram: true });
let other: Browser | undefined;
beforeAll(() => at.browser.workAs('Runa Tarn'));
afterAll(() => other?.close());

const readings = async (number: string, quantity: string) =>
	(await query(
		at.app,
		`select station, read, gauge, set_id from reading join job on job.id = reading.job_id
		where job.number = $1 and quantity = $2 order by position`,
		[number, quantity]
	)) as {
		station: string;
		read: string;
		gauge: { name: string; correction: string };
		set_id: string | null;
	}[];

describe('by keypad alone', () => {
	it('reads every station twice, and a third time where the two differ', async () => {
		const job = await at.browser.openJob('2417');
		const before = (await readings('2417', 'installed-height')).length;
		await at.browser.press('h');
		await round(at.browser).asksFirst();
		await at.browser.find('form button:focus');
		await at.browser.press(Key.ENTER);
		await round(at.browser).asksForLocator();
		await at.browser.press('1', Key.ENTER);
		await at.browser.sees('2 readings per valve');
		for (const [first, second, third] of [
			['1819', '1819'],
			['1822', '1831', '1823'],
			['1820', '1821'],
			['1818', '1818']
		] as const) {
			await at.browser.find('main input[inputmode="decimal"]:focus');
			await at.browser.press(first!, Key.ENTER);
			await at.browser.sees('Reading 2 of 2');
			await at.browser.press(second!, Key.ENTER);
			if (!third) continue;
			await at.browser.sees('Reading 3 of 3');
			await at.browser.sees('further apart than the gauge explains');
			await at.browser.press(third, Key.ENTER);
		}
		await round(at.browser).allTwelve();
		await until(async () => (await readings('2417', 'installed-height')).length === before + 9);
		const fresh = (await readings('2417', 'installed-height')).slice(before);
		expect(fresh.map(({ station }) => station)).toEqual(
			['5I', '5I', '5E', '5E', '5E', '6E', '6E', '6I', '6I'].sort(
				(a, b) =>
					fresh.findIndex((one) => one.station === a) - fresh.findIndex((one) => one.station === b)
			)
		);
		expect(new Set(fresh.map(({ set_id }) => set_id)).size).toBe(4);
		await at.browser.go(`${job}?at=5E`);
		// The mean of 1.822, 1.831 and 1.823 in.
		expect(await at.browser.text('[data-row="5E"]')).toMatch(/1\.825/);
	});
});

describe('valves, seats and chambers', () => {
	it('are measured in rounds of their own, held against the shop’s limits, and stand in one table', async () => {
		const { browser } = at;
		const job = await browser.openJob('2417');
		await browser.beginRound(job, 'stem-clearance');
		await browser.press('0.0015', Key.ENTER);
		await browser.press('0.0062');
		await browser.sees('is 0.001 over what is allowed');
		await browser.press(Key.ENTER);
		await browser.beginRound(job, 'chamber-volume');
		await browser.press('62,4', Key.ENTER);
		await until(async () => (await readings('2417', 'chamber-volume')).length === 1);
		expect((await readings('2417', 'chamber-volume'))[0]!.read).toBe('62.4 cc');
		await browser.go(`${job}/inspect/figures`);
		const table = await browser.text('table[aria-label="Figures of valves, seats and chambers"]');
		expect(table).toContain('Stem to guide in, to 0.004');
		expect(table).toMatch(/1I 0\.0015 62\.4/);
		await browser.sees('Stem to guide 2 of 12');
		await browser.sees('stop Stem-to-guide clearance is 0.001 over what is allowed');
		expect(await browser.faults()).toEqual([]);
	});
});

describe('by gauge alone', () => {
	it('takes a head’s heights from its button, with its correction in force', async () => {
		await at.browser.openJob('2421');
		const job = new URL(await at.browser.driver.getCurrentUrl()).pathname;
		await at.browser.go(`${job}/round?of=installed-height`);
		await round(at.browser).readingsPerValve('1');
		await round(at.browser).gauge('Height gauge 1');
		await at.browser.begin();
		await at.browser.find('[data-link="connected"]');
		await at.browser.sees('16 of 16 left');
		for (let i = 0; i < 16; i++) {
			await at.gauges.act('height/set', String(1.89 + (i % 5) * 0.004));
			await at.gauges.act('height/press');
			// One that is outside the expected range is asked about: its button once more keeps it.
			await until(async () => {
				const text = await at.browser.text('main');
				if (text.includes('All 16 measured.') || text.includes(`${15 - i} of 16 left`)) return true;
				if (text.includes('Outside expected range')) await at.browser.press(Key.ENTER);
				return false;
			});
		}
		await at.browser.sees('All 16 measured.');
		await until(async () => (await readings('2421', 'installed-height')).length === 16);
		for (const { read, gauge } of await readings('2421', 'installed-height')) {
			expect(read).toMatch(/^1\.\d{4} in$/);
			expect(gauge).toMatchObject({
				name: 'Height gauge 1',
				correction: expect.stringMatching(/ mm$/)
			});
		}
	});
	it('takes the peak of each pull of an on-head tester', async () => {
		await at.browser.openJob('2421');
		const job = new URL(await at.browser.driver.getCurrentUrl()).pathname;
		await at.browser.go(`${job}/round?of=on-head-load`);
		await round(at.browser).gauge('On-head tester');
		await at.browser.begin();
		await at.browser.find('[data-link="connected"]');
		await at.gauges.act('head/pull');
		await at.browser.sees('15 of 16 left');
		await at.gauges.act('head/pull');
		await at.browser.sees('14 of 16 left');
		await until(async () => (await readings('2421', 'on-head-load')).length === 2);
		expect((await readings('2421', 'on-head-load'))[0]!.read).toMatch(/^\d{3}\.\d N$/);
	});
});

/** Figures that each bench keeps, at ten a second at most. */
const FIGURES = 150;
/** So many are stored before the database goes away. */
const BEFORE = 50;

/** Keeps so many figures in the page, one every tenth of a second at most; answers when all are kept. */
const measure = (bench: Browser) =>
	bench.wait(
		`const [figures] = arguments;
		const wait = (milliseconds) => new Promise((later) => setTimeout(later, milliseconds));
		const again = () =>
			[...document.querySelectorAll('main button')].find((one) => one.textContent.includes('Remeasure'))?.click();
		for (let kept = 0; kept < figures; ) {
			const begun = performance.now();
			const input = document.querySelector('main input[inputmode="decimal"]');
			if (input) {
				input.value = (1.81 + (kept % 30) / 1000).toFixed(3);
				input.dispatchEvent(new InputEvent('input', { bubbles: true }));
				await wait(20);
				input.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
				await wait(0);
				// Every station has its figure: the round is over once this one is kept.
				if (!input.isConnected) kept++;
			}
			again();
			await wait(Math.max(0, begun + 100 - performance.now()));
		}`,
		FIGURES
	);

describe('two benches on one head', () => {
	it('see each other’s figures without reloading', async () => {
		other = await Browser.open(at.app.url);
		await other.workAs('Kelso Lind');
		const job = await other.openJob('2417');
		await at.browser.beginRound(job, 'tip-height');
		await at.browser.press('120', Key.ENTER);
		await until(async () => (await other!.text('main')).includes('0.120'));
	});
	it('a hundred and fifty figures each at ten a second, the database stopped and started in between: each stored once', async () => {
		const job = await at.browser.openJob('2426');
		for (const bench of [at.browser, other!]) {
			await bench.go(`${job}/round?of=installed-height`);
			await round(bench).readingsPerValve('1');
			await bench.begin();
			await bench.click('Remeasure', 'button');
		}
		const count = async () => (await readings('2426', 'installed-height')).length;
		const before = await count();
		let isOver = false;
		const both = Promise.all([measure(at.browser), measure(other!)]).finally(() => (isOver = true));
		await until(async () => (await count()) >= before + BEFORE);
		// Away for some twenty figures of each. A page that measures answers to nobody else, so
		// how many wait in it cannot be asked.
		await withoutDatabase(() => new Promise((later) => setTimeout(later, 2000)));
		expect(isOver).toBe(false);
		await both;
		const all = before + 2 * FIGURES;
		await until(async () => (await count()) >= all).catch(() => undefined);
		expect(await count()).toBe(all);
		await at.browser.sees('1.8');
		await until(async () => !(await at.browser.text()).includes('unsent'));
	}, 1_000_000);
});

describe('the server goes away', () => {
	it('and even a reload opens the round again, with what waits', async () => {
		await other?.close();
		other = undefined;
		const job = await at.browser.openJob('2417');
		await at.browser.beginRound(job, 'lash');
		await at.browser.press('14', Key.ENTER);
		await until(async () => (await readings('2417', 'lash')).length === 1);
		// The page is kept a moment after its last figure.
		await new Promise((later) => setTimeout(later, 2500));
		await at.app.stop();
		await at.browser.press('15', Key.ENTER);
		await outbox(at.browser).away();
		await at.browser.driver.navigate().refresh();
		await at.browser.ready();
		await round(at.browser).asksFirst();
		await outbox(at.browser).one();
		await round(at.browser).readingsPerValve('1');
		await at.browser.begin();
		await at.browser.sees('10 of 12 left');
		await at.app.start();
		await until(async () => (await readings('2417', 'lash')).length === 2);
		expect((await readings('2417', 'lash')).map(({ read }) => read)).toEqual([
			'0.014 in',
			'0.015 in'
		]);
	});
});
