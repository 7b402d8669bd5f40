/** One valve on a phone: three entries with a known spring, seven without, by the rules of any sheet. */
import { beforeAll, describe, expect, it } from 'vitest';
import { evaluate, type Job } from '@zinc-ledger/core';
import { until } from './support/app.ts';
import { Counted } from './support/counted.ts';
import { visit } from './support/visit.ts';

const at = visit('demo', { keepsProgram: true });
beforeAll(async () => {
	await at.browser.workAs('Runa Tarn');
	await at.browser.size(390, 844);
});
const verdict = () =>
	at.browser.run<string | null>(
		'return document.querySelector("[data-verdict]")?.dataset.verdict ?? null'
	);
const main = () => at.browser.text('main');
/** Keys of the page's own keypad. */
const keys = async (text: string) => {
	for (const sign of text) await at.browser.click(sign, '[aria-label=Keypad] button');
};

describe('one valve', () => {
	it('takes three entries with a spring that is known', async () => {
		const { browser } = at;
		await browser.go('/valve');
		const by = new Counted(browser);
		await by.fill('Spring', 'Fennick C-31 conical');
		await (await browser.field('Valve lift, in')).click();
		await keys('0.531');
		by.entries += 1;
		await browser.click('Next', '[aria-label=Keypad] button');
		await keys('1.780');
		by.entries += 1;
		await until(async () => (await verdict()) !== null);
		expect(by.entries).toBe(3);
		expect(await main()).toMatch(/Installed height .*1\.780/);
		expect(await main()).toMatch(/Seat load .*\d/);
		expect(await browser.run('return document.documentElement.scrollWidth')).toBe(390);
		const isOnScreen = await browser.run<boolean>(
			`const { bottom } = [...document.querySelectorAll('[aria-label=Keypad] button')].at(-1).getBoundingClientRect();
			return bottom <= innerHeight;`
		);
		expect(isOnScreen).toBe(true);
		expect(await browser.faults()).toEqual([]);
	});
	it('is watch at best when told by phone, with the same figures', async () => {
		const { browser } = at;
		const figures = async () =>
			browser.run<string[]>(
				'return [...document.querySelectorAll("[aria-label=Answer] dd.figure")].map((e) => e.textContent.trim())'
			);
		const [before, here] = [await verdict(), await figures()];
		await browser.fill('Height read with', 'Told by phone');
		await browser.sees('Told by phone: unverified');
		expect(['watch', 'stop', 'inconclusive']).toContain(await verdict());
		expect(before === 'clear' ? await verdict() : 'watch').toBe('watch');
		expect((await figures()).length).toBe(here.length);
	});
	it('takes seven with a spring known by two loads and its coil bind', async () => {
		const { browser } = at;
		await browser.click('Clear', 'button');
		await browser.fill('Spring', 'Two loads and coil bind');
		for (const [name, text] of [
			['Card height, in', '1.820'],
			['Load at card height, lbf', '130'],
			['Open height, in', '1.290'],
			['Load at open height, lbf', '335'],
			['Coil bind height, in', '1.150'],
			['Valve lift, in', '0.530'],
			['Installed height, in', '1.850']
		] as const)
			await browser.fill(name, text);
		await until(async () => (await verdict()) !== null);
		expect(await main()).toMatch(/With 0\.030 under it: 1\.820 high, 1[23]\d lbf on the seat/);
		await until(async () =>
			(await browser.driver.getCurrentUrl()).includes('seatLoad=130+lbf&openHeight=1.290+in')
		);
	});
	it('is saved as a job of one valve with the same figures', async () => {
		const { browser } = at;
		await browser.click('Save as job');
		await browser.fill('Customer', 'Isolde Marn');
		await browser.click('Save as job', 'form button');
		await until(async () => /\/jobs\/[0-9a-f-]{36}/.test(await browser.driver.getCurrentUrl()));
		const path = new URL(await browser.driver.getCurrentUrl()).pathname;
		const { job } = (await browser.api('GET', `/api${path}`)).body as { job: Job };
		expect(job.stations.map(({ label }) => label)).toEqual(['1I']);
		expect(job.readings.map(({ quantity }) => quantity)).toEqual(['installed-height']);
		expect(evaluate(job).stations[0]!.figures.height.figure! / 25.4).toBeCloseTo(1.85, 3);
		expect(await main()).not.toContain('1E');
	});
	it('goes on with the server away, after one visit', async () => {
		const { browser } = at;
		await browser.go('/valve');
		await until(() =>
			browser.wait<boolean>(`return (await caches.match(location.origin + '/valve')) !== undefined`)
		);
		await at.app.stop();
		await browser.go('/valve?height=1.850+in&lift=0.53+in');
		await browser.sees('Enter a spring');
		await browser.fill('Spring', 'Fennick C-31 conical');
		await until(async () => (await verdict()) !== null);
		await at.app.start();
	});
});
